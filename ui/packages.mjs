// Installs the packages, unless those of this very lock file are there already.
import { execSync } from 'node:child_process'
import { copyFileSync, existsSync, readFileSync } from 'node:fs'

const LOCK = 'package-lock.json'
const INSTALLED = 'node_modules/.installed-lock.json'

if (!existsSync(INSTALLED) || readFileSync(LOCK, 'utf8') !== readFileSync(INSTALLED, 'utf8')) {
  execSync('npm ci --prefer-offline --no-audit --no-fund', { stdio: 'inherit' })
  copyFileSync(LOCK, INSTALLED)
}
