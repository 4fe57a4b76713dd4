#!/usr/bin/env bash
# Starts the production app at http://127.0.0.1:3000: builds when the code changed, migrates, and loads the demo
# studio into an empty database. Data that is there is kept.
set -euo pipefail
cd "$(dirname "$0")/.."
export NEXT_TELEMETRY_DISABLED=1
# The server's bundle is what a build makes last: one that was broken off is made again.
built=.next/keen-spiral.mjs
newest=$(find src public scripts/bundle-server.ts package-lock.json next.config.ts -type f -newer "$built" 2>/dev/null | head -1 || true)
if [ ! -f "$built" ] || [ -n "$newest" ]; then npm run build; fi
npm run --silent demo
exec npm run --silent start
