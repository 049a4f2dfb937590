#!/usr/bin/env bash
# npm run drive:deploy: does what docs/deploy.md says, word for word, and looks whether it holds: the proxy's lines, the certificate's, the unit's. As root
# on a Debian machine; it installs nginx where it is missing, and leaves nothing running.
set -uo pipefail
cd "$(dirname "$0")/.."
ROOT=$PWD; PLACE=$(mktemp -d /tmp/gravelwort-deploy-XXXX); chmod 755 "$PLACE"
NAME=bench.shop.example; PORT=46${RANDOM:0:2}; TLS_PORT=47${RANDOM:0:2}; STARTED=; WRONG=0
command -v nginx >/dev/null || apt-get install -y -qq nginx-light >/dev/null
ended() { [ -z "$STARTED" ] || { kill -TERM "$STARTED" 2>/dev/null; wait "$STARTED" 2>/dev/null; }; STARTED=; }
tidy() { ended; [ -f "$PLACE/nginx.pid" ] && kill "$(cat "$PLACE/nginx.pid")" 2>/dev/null; rm -rf "${PLACE:?}"; [ -f /var/lib/gravelwort/.drive ] && rm -rf "$(cat /var/lib/gravelwort/.drive)"; rm -f /var/lib/gravelwort/.drive; }
trap tidy EXIT
holds() { # holds WHAT EXPECTED FOUND
  if [ "$2" = "$3" ]; then echo "ok: $1"; else echo "WRONG: $1: expected $2, found $3"; WRONG=$((WRONG + 1)); fi
}
# block WORD: the block of the document that holds a line beginning with the word.
block() { awk -v word="$1" '/^```/{ if (inside && hit) { printf "%s", text; exit } inside = !inside; text = ""; hit = 0; next } inside { text = text $0 "\n"; if (index($0, word) == 1) hit = 1 }' docs/deploy.md; }
ask() { curl -sk --resolve "$NAME:$TLS_PORT:127.0.0.1" -o /dev/null -w "$1" "${@:2}"; }
started() { # started SETTING...
  env GRAVELWORT_STATE="$PLACE/state" PORT="$PORT" GRAVELWORT_DEMO=no "$@" bash scripts/start.sh >"$PLACE/said" 2>&1 & STARTED=$!
  for _ in $(seq 400); do grep -q 'Ready in' "$PLACE/said" && break; kill -0 $STARTED 2>/dev/null || break; sleep 1; done
  [ -f "$PLACE/state/database" ] && cp "$PLACE/state/database" /var/lib/gravelwort/.drive 2>/dev/null
  grep -q 'Ready in' "$PLACE/said" || { cat "$PLACE/said"; exit 1; }
}

# The certificate, as the document makes it.
eval "$(block 'openssl req' | sed -n '/^openssl/,/cert.pem$/p' | sed "s#/etc/gravelwort#$PLACE#g")" 2>/dev/null
holds 'the certificate is for the name' "DNS:$NAME" "$(openssl x509 -in "$PLACE/cert.pem" -noout -ext subjectAltName | tail -1 | tr -d ' ')"

# Behind a proxy: the document's lines inside a server of TLS.
block 'location /' | sed "s#127.0.0.1:4680#127.0.0.1:$PORT#" >"$PLACE/location"
cat >"$PLACE/nginx.conf" <<CONF
pid $PLACE/nginx.pid; error_log $PLACE/nginx.log;
events {}
http {
  access_log off; client_body_temp_path $PLACE/body; proxy_temp_path $PLACE/proxy; fastcgi_temp_path $PLACE/f; uwsgi_temp_path $PLACE/u; scgi_temp_path $PLACE/s;
  server {
    listen 127.0.0.1:$TLS_PORT ssl; server_name $NAME; ssl_certificate $PLACE/cert.pem; ssl_certificate_key $PLACE/key.pem;
    $(cat "$PLACE/location")
  }
}
CONF
nginx -c "$PLACE/nginx.conf" || exit 1
started GRAVELWORT_PROXY=yes GRAVELWORT_HOSTS="$NAME,$NAME:$TLS_PORT"
URL=https://$NAME:$TLS_PORT
holds 'behind the proxy: it runs' 200 "$(ask '%{http_code}' "$URL/healthz")"
holds 'behind the proxy: its database answers' 200 "$(ask '%{http_code}' "$URL/readyz")"
holds 'behind the proxy: a page asks for a sign-in' 307 "$(ask '%{http_code}' "$URL/")"
holds 'behind the proxy: another name is refused' 403 "$(curl -sk -o /dev/null -w '%{http_code}' -H 'Host: elsewhere.example' "https://127.0.0.1:$TLS_PORT/sign-in")"
holds 'behind the proxy: the browser is told to stay with TLS' 'max-age=31536000' "$(ask '%header{strict-transport-security}' "$URL/sign-in")"
CODE=$(grep -oE '[0-9a-f]{5}(-[0-9a-f]{5}){3}' "$PLACE/said" | head -1)
first() { curl -sk --resolve "$NAME:$TLS_PORT:127.0.0.1" -D "$PLACE/heads" -o "$PLACE/body.json" -w '%{http_code}' -H "Origin: $1" -H 'Content-Type: application/json' -H 'X-Forwarded-For: 203.0.113.9' \
  -d "{\"code\":\"$CODE\",\"shop\":\"Drive\",\"word\":\"drive-shop\",\"name\":\"Ada Probe\",\"signIn\":\"ada\",\"password\":\"a long enough word here\"}" "$URL/api/door/first"; }
holds 'behind the proxy: a write from another page is refused' 403 "$(first https://elsewhere.example)"
holds 'behind the proxy: the first owner comes in by the code of the console' 200 "$(first "$URL")"
holds 'behind the proxy: the session’s cookie is for TLS alone' 1 "$(grep -i '^set-cookie: gravelwort-session=' "$PLACE/heads" | grep -c '; Secure')"
COOKIE=$(grep -i '^set-cookie: gravelwort-session=' "$PLACE/heads" | sed 's/^[^:]*: //; s/;.*//')
holds 'behind the proxy: the shop opens' 200 "$(ask '%{http_code}' -H "Cookie: $COOKIE" "$URL/")"
holds 'behind the proxy: a claimed address is not believed' 0 "$(curl -sk --resolve "$NAME:$TLS_PORT:127.0.0.1" -H "Cookie: $COOKIE" "$URL/shop" | grep -c 203.0.113.9)"
head -c 14900000 /dev/zero >"$PLACE/large"
holds 'behind the proxy: what is large comes through, to be judged by the server' 1 "$(curl -sk --resolve "$NAME:$TLS_PORT:127.0.0.1" -H "Cookie: $COOKIE" -H "Origin: $URL" -F id=5a1e0000-0000-4000-8000-00000000dead -F subject=x -F "file=@$PLACE/large" "$URL/api/jobs/5a1e0000-0000-4000-8000-00000000dead/photos" | grep -c '"code"')"
ended

# With a certificate of its own.
started GRAVELWORT_HOST=0.0.0.0 GRAVELWORT_HOSTS="$NAME" GRAVELWORT_CERT="$PLACE/cert.pem" GRAVELWORT_KEY="$PLACE/key.pem"
direct() { curl -s --cacert "$PLACE/cert.pem" --resolve "$NAME:$PORT:127.0.0.1" -o /dev/null -w '%{http_code}' "$@" "https://$NAME:$PORT/healthz"; }
holds 'with its own certificate: it runs, and the certificate is the name’s' 200 "$(direct)"
holds 'with its own certificate: nothing below TLS 1.2' 000 "$(direct --tls-max 1.1)"
ended

# The unit.
block '[Unit]' | sed "s#/opt/gravelwort#$ROOT#g; s#^User=.*#User=root#" >"$PLACE/gravelwort.service"
holds 'the unit is one that systemd takes' '' "$(systemd-analyze verify "$PLACE/gravelwort.service" 2>&1 | grep -F "$PLACE" | head -3)"
[ "$WRONG" = 0 ]
