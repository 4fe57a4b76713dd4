#!/usr/bin/env bash
# Installs what the checks need, Chromium from Debian's packages included, and runs every check and test.
set -euo pipefail
cd "$(dirname "$0")/.."
if [ ! -x /usr/bin/chromium ] || [ ! -x /usr/bin/certutil ]; then
  as_root=""
  [ "$(id -u)" = 0 ] || as_root="sudo"
  $as_root apt-get update -q
  DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -q --no-install-recommends chromium libnss3-tools
fi
npm ci
npm test
