#!/bin/bash
# swap-disk.sh FOLDER: plays the commands of FOLDER/*.sh on two real ext4 file systems in files, in mount and process
# namespaces of its own. Says for each what it printed, between lines "## NAME".
set -u
cd "$1" || exit 1
mkdir -p bin old
# The commands as they are typed, less what a test machine has not: rights are there, and a unit is run at once.
printf '#!/bin/bash\nexec "$@"\n' >bin/sudo
printf '#!/bin/bash\nwhile [ "${1#-}" != "$1" ]; do shift; done\n"$@" && echo "unit: Deactivated successfully."\n' >bin/systemd-run
printf '#!/bin/bash\ntrue\n' >bin/systemctl
chmod +x bin/*
export PATH="$PWD/bin:$PATH"
for one in old new; do
    truncate -s 48M "$one.img"
    mkfs.ext4 -q -U "$(cat "$one.uuid")" "$one.img"
done
mkdir -p /mnt/next
cp /etc/fstab fstab 2>/dev/null || touch fstab
printf 'UUID=%s %s ext4 defaults,nofail 0 2\n' "$(cat old.uuid)" "$1/old" >>fstab
mkdir -p etc && cp -a /etc/. etc/ && cp fstab etc/fstab && mount --bind etc /etc
attach_old() { mount -o loop old.img old; }
# mount(8) finds a UUID by udev's links, which a namespace may not have; a loop device is named instead.
newdev="$(losetup --find --show new.img)"
trap 'umount -q /mnt/next; umount -q old; losetup -d "$newdev"' EXIT
cat >bin/mount <<SH
#!/bin/bash
args=()
for a in "\$@"; do [ "\$a" = "UUID=$(cat new.uuid)" ] && a="$newdev"; args+=("\$a"); done
exec /usr/bin/mount "\${args[@]}"
SH
chmod +x bin/mount
say() { printf '## %s\n' "$1"; bash "$2.sh" 2>&1; }
tree() { python3 "$TREE" "$1"; }

attach_old
python3 - old <<'PY'
import os, sys
r = sys.argv[1]
os.makedirs(f'{r}/anna/two words'); os.makedirs(f'{r}/ben')
for i in range(40):
    open(f'{r}/anna/{i}.txt', 'wb').write(os.urandom(1000 * (i + 1)))
open(f"{r}/anna/two words/it's \"so\"\nin two lines", 'w').write('x')
os.link(f'{r}/anna/1.txt', f'{r}/ben/same as one')
os.symlink('../anna/2.txt', f'{r}/ben/two')
os.chown(f'{r}/ben', 1234, 4321); os.chmod(f'{r}/ben', 0o2770)
os.setxattr(f'{r}/anna/3.txt', 'user.note', b'kept')
with open(f'{r}/hole', 'wb') as f:
    f.truncate(3_000_000)
PY
say next-first next
say next-twice next
say copy copy
say compare compare
# The house goes on: something is written, something goes.
printf 'later\n' >old/anna/later.txt
rm old/anna/7.txt
chmod 600 old/anna/8.txt
exec 7>>old/anna/9.txt
say still-while-written still
exec 7>&-
umount /mnt/next
say still-without-new still
bash next.sh >/dev/null 2>&1
umount old
say still-without-old still
printf '## new-after-that\n%s\n' "$(find /mnt/next -type f | wc -l)"
attach_old
printf '## old-before\n%s\n' "$(tree old | sha256sum)"
say still still
printf '## trees\n%s\n' "$(diff <(tree old) <(tree /mnt/next) && echo the same)"
printf '## old-after\n%s\n' "$(tree old | sha256sum)"
printf '## old-can-be-written\n%s\n' "$(touch old/x 2>&1 && echo yes)"
say line line
printf '## fstab\n%s\n' "$(cat /etc/fstab)"
say line-twice line
printf '## fstab-before\n%s\n' "$(cat /etc/fstab.before | tail -n 1)"
