#!/bin/bash
# Runs a script in a machine of its own, as far as Elogio's installation can tell: empty folders in the place of those
# that it writes to, an empty network, and stand-ins for what only a real machine has (packages, users, systemd, DNS).
# Usage: unshare -mn machine.sh PROJECT STANDINS SCRIPT
set -eu
project=$1 standins=$2 script=$3
mount --make-rprivate /
for folder in /opt /var/lib/elogio /etc/elogio /etc/letsencrypt /usr/local/bin /etc/systemd/system; do
    mkdir -p "$folder"
    mount -t tmpfs tmpfs "$folder"
done
if [ -d /etc/nginx ]; then
    cp -a /etc/nginx "$standins/etc-nginx"
    mount --bind "$standins/etc-nginx" /etc/nginx
fi
ip link set lo up
export PROJECT=$project STANDINS=$standins PATH="$standins/bin:/usr/local/bin:$PATH"
status=0
bash -eu "$script" || status=$?
systemctl stop elogio || true
exit $status
