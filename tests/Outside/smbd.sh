#!/bin/bash
# usage: smbd.sh FOLDER PORT; runs inside a mount namespace of its own, where FOLDER is /mnt: accounts of FOLDER/passwd
# and FOLDER/group, a file service with FOLDER/smb.conf, and each line "person share" of FOLDER/ask is tried. Prints
# "person share reads writes" with yes or no.
set -eu
folder=$1 port=$2
mount --bind "$folder/passwd" /etc/passwd
mount --bind "$folder/group" /etc/group
mount --bind "$folder" /mnt
for person in $(cut -d ' ' -f 1 "$folder/ask" | sort -u | grep -vx guest); do
    printf 'seeds\nseeds\n' | smbpasswd -c "$folder/smb.conf" -s -a "$person" >/dev/null
done
# It makes a group of its own; at its end it ends its whole group.
smbd -s "$folder/smb.conf" -F --debug-stdout </dev/null >"$folder/smbd.out" 2>&1 &
server=$!
trap 'kill $server' EXIT
for _ in $(seq 50); do (: <"/dev/tcp/127.0.0.1/$port") 2>/dev/null && break; sleep 0.1; done
echo seeds >"$folder/seed"
while read -r person share; do
    who=("-U" "$person%seeds")
    [ "$person" != guest ] || who=("-U" "stranger%seeds")
    said=$(smbclient -s "$folder/smb.conf" -p "$port" "${who[@]}" "//127.0.0.1/$share" -c "put $folder/seed new-$person; rm new-$person" 2>&1 </dev/null || true)
    writes=yes; case $said in *NT_STATUS_*) writes=no ;; esac
    said=$(smbclient -s "$folder/smb.conf" -p "$port" "${who[@]}" "//127.0.0.1/$share" -c "ls" 2>&1 </dev/null || true)
    reads=yes; case $said in *NT_STATUS_*) reads=no ;; esac
    echo "$person $share $reads $writes"
done <"$folder/ask"
