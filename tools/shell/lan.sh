# Letting the local network in, so that a phone can measure: HTTPS with a certificate made here, on an address and port of
# its own. Browsers keep readings, cameras and more for secure pages alone, hence the certificate.

lan_address() {
    hostname -I 2>/dev/null | tr ' ' '\n' | grep -E '^[0-9.]+$' | grep -v '^127\.' | head -n 1
}

# Asked every time; --yes answers for a script.
ask_lan() {
    say "This lets every device on your network reach Incastro at $1, signed in or not at its sign-in page."
    say "Do it at home, not in a café. ./incastro stop ends it."
    [ "${2:-}" = --yes ] && return
    [ -t 0 ] || fail "Nobody is there to ask. Run it at a terminal, or add --yes."
    local answer
    read -r -p "Let the network in? [y/N] " answer
    case "$answer" in y | Y | yes) ;; *) fail "Not let in. ./incastro start keeps it on this machine alone." ;; esac
}

# A certificate authority of this checkout alone, kept for ten years so that a phone trusts it once; and a certificate for
# the address, renewed whenever the address changes.
make_certificate() {
    local host=$1 lan=$VAR/lan kind=DNS
    [[ $host =~ ^[0-9.]+$ ]] && kind=IP
    if [ ! -f "$lan/ca.crt" ]; then
        (umask 077 && openssl req -x509 -newkey rsa:3072 -nodes -days 3650 -keyout "$lan/ca.key" -out "$lan/ca.crt" \
            -subj "/CN=Incastro on $(hostname)" -addext 'basicConstraints=critical,CA:TRUE' -addext 'keyUsage=critical,keyCertSign' 2>/dev/null)
        chmod 644 "$lan/ca.crt"
    fi
    [ "$(cat "$lan/host" 2>/dev/null)" = "$host" ] && openssl x509 -checkend 864000 -noout -in "$lan/site.crt" >/dev/null 2>&1 && return
    (umask 077 && openssl req -newkey rsa:3072 -nodes -keyout "$lan/site.key" -out "$lan/site.csr" -subj "/CN=$host" 2>/dev/null)
    openssl x509 -req -in "$lan/site.csr" -CA "$lan/ca.crt" -CAkey "$lan/ca.key" -CAcreateserial -days 397 -out "$lan/site.crt" \
        -extfile <(printf 'subjectAltName=%s:%s\nextendedKeyUsage=serverAuth\n' "$kind" "$host") 2>/dev/null
    printf '%s' "$host" >"$lan/host"
}

open_lan() {
    local url=${INCASTRO_URL:-} address host
    address=$(lan_address)
    [ -n "$url" ] || { [ -n "$address" ] || fail "This machine has no address on a network. Join one, or give INCASTRO_URL."; url=https://$address:$LAN_PORT; }
    [[ $url =~ ^https://([^/:]+)(:([0-9]+))?$ ]] || fail "INCASTRO_URL is “$url”. It must be https://NAME or https://NAME:PORT."
    host=${BASH_REMATCH[1]} LAN_PORT=${BASH_REMATCH[3]:-443}
    ask_lan "$url" "${1:-}"
    ! is_taken "$LAN_PORT" || fail "Port $LAN_PORT is in use by another program. Choose a free one with INCASTRO_LAN_PORT."
    make_certificate "$host"
    printf 'server {\n    listen %s ssl;\n    ssl_certificate %s;\n    ssl_certificate_key %s;\n    include %s;\n}\n' \
        "$LAN_PORT" "$VAR/lan/site.crt" "$VAR/lan/site.key" "$VAR/site.conf" >"$VAR/lan/server.conf"
    printf '%s' "$url" >"$VAR/lan/url"
    export APP_URL=$url
    allow_hosts
}

close_lan() { rm -f "$VAR/lan/url" "$VAR/lan/server.conf"; }

greet_lan() {
    local url
    url=$(cat "$VAR/lan/url")
    say ""
    say "  Phone    $url"
    php tools/code.php "$url"
    say "  Trust    once a phone: open $url/incastro-ca.crt, past the warning, and install it as a certificate"
    say "           authority (Android: Settings, Security, Encryption, Install a certificate, CA certificate."
    say "           iOS: install the profile, then Settings, General, About, Certificate Trust Settings, switch it on)."
    say "           The same file: $VAR/lan/ca.crt. Remove it from the phone when the job is done."
}
