#!/usr/bin/env bash
# Starts the production app at http://127.0.0.1:3000: builds when the code changed, migrates, and loads the demo
# studio into an empty database. Data that is there is kept.
set -euo pipefail
cd "$(dirname "$0")/.."
export NEXT_TELEMETRY_DISABLED=1
newest=$(find src public package-lock.json next.config.ts -type f -newer .next/BUILD_ID 2>/dev/null | head -1 || true)
if [ ! -f .next/BUILD_ID ] || [ -n "$newest" ]; then npm run build; fi
npm run --silent demo
exec npm run --silent start
