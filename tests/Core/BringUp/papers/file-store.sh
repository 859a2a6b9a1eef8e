#!/bin/bash
# File store with an attached disk
# Typed on the box. It stops at the first command that fails; read what it says, then run it again from there.

set -euo pipefail

by_hand() {
    printf '\n'
    cat
    read -r -p 'Enter when it is done, Ctrl-C to stop: ' _ </dev/tty
}

# 1. Parts on the table
# Lay the parts out and compare them with the list on the plan. Sinks go on before the board goes into its case, and the case comes last. Hold the board by its edges.
# Careful: Touch something earthed first. Add-on boards are put on and taken off only while the power is off.
by_hand <<'STEP'
1. Parts on the table
Lay the parts out and compare them with the list on the plan. Sinks go on before the board goes into its case, and the case comes last. Hold the board by its edges.
STEP

# 2. Card in, cable, power last
# Put the card in, contacts towards the board. Then the network cable, then any disk. The supply comes last, so that nothing starts half connected.
# Careful: Use only a closed, approved supply. Anything on the mains side is work for a qualified person under local codes.
by_hand <<'STEP'
2. Card in, cable, power last
Put the card in, contacts towards the board. Then the network cable, then any disk. The supply comes last, so that nothing starts half connected.
STEP

# 3. First boot
# The box grows its file system, reads the first-boot settings, makes its host keys and asks the router for an address. It may restart once by itself.
# Careful: Do not pull the power now. A card cut off while it is written may not start again.
by_hand <<'STEP'
3. First boot
The box grows its file system, reads the first-boot settings, makes its host keys and asks the router for an address. It may restart once by itself.
STEP

# 4. Find it in the router's list
# The router's list of leases, before and after power-on, singles out the new one.
by_hand <<'STEP'
4. Find it in the router's list
The router's list of leases, before and after power-on, singles out the new one.
STEP

# 5. Remote login answers
# Port 22 is asked at the address found. It says open, refused or silent, and each means something else.
by_hand <<'STEP'
5. Remote login answers
Port 22 is asked at the address found. It says open, refused or silent, and each means something else.
STEP

# 6. Keep its host key
# The key that the box shows on port 22 is written down now, so that a stranger in its place is noticed later. Compare it with the one on the box's screen if it has one.
by_hand <<'STEP'
6. Keep its host key
The key that the box shows on port 22 is written down now, so that a stranger in its place is noticed later. Compare it with the one on the box's screen if it has one.
STEP

# 7. Log in for the first time
# At the address where it was found; its own comes with the next restart. Never with administrator rights on the desk computer, for the key memory would be another account's.
by_hand <<'STEP'
7. Log in for the first time
At the address where it was found; its own comes with the next restart. Never with administrator rights on the desk computer, for the key memory would be another account's.
ssh warden@172.22.8.11
STEP

# 8. Pin its address in the router
# Enter a reservation on the router's page, under DHCP, for this hardware address. Save, and apply if the page has a second button for it.
by_hand <<'STEP'
8. Pin its address in the router
Enter a reservation on the router's page, under DHCP, for this hardware address. Save, and apply if the page has a second button for it.
02:4b:1e:90:00:01 → 172.22.8.11
STEP

# 9. Restart, so that it takes the pinned address
# The box asks for its address when it starts. Your session ends here; that is expected.
by_hand <<'STEP'
9. Restart, so that it takes the pinned address
The box asks for its address when it starts. Your session ends here; that is expected.
sudo systemctl reboot
STEP

# 10. It answers at its own address
# Port 22 is asked at the pinned address, and the host key must be the one kept.
by_hand <<'STEP'
10. It answers at its own address
Port 22 is asked at the pinned address, and the host key must be the one kept.
STEP

# 11. Log in
# Never with administrator rights on the desk computer; the key memory would be another account's.
by_hand <<'STEP'
11. Log in
Never with administrator rights on the desk computer; the key memory would be another account's.
ssh warden@172.22.8.11
STEP

# 12. What it runs
# The release, the architecture, the memory in use and the clock, before anything is installed. A wrong clock is the usual cause when nothing can be fetched.
cat /etc/os-release
dpkg --print-architecture
free --mebi
timedatectl
by_hand <<'STEP'
You should see: the release of the image you wrote, about 100 MB in use, your time zone, and “System clock synchronized: yes”.
STEP

# 13. Fetch the package index
# The list of what is new. Nothing is installed yet.
sudo apt-get update
by_hand <<'STEP'
You should see: “Reading package lists... Done”.
STEP

# 14. Bring the system up to date
# Security fixes since the image was made.
# Careful: Do not pull the power now. A system cut off in the middle of an upgrade may not start again.
sudo apt-get --yes full-upgrade
by_hand <<'STEP'
You should see: a list of packages, then scrolling lines. It can stand still for a minute at “Setting up”. Leave it.
STEP

# 15. Restart
# So that the new kernel and libraries are the ones in use.
by_hand <<'STEP'
15. Restart
So that the new kernel and libraries are the ones in use.
sudo systemctl reboot
STEP

# 16. It comes back
# Port 22 is asked again.
by_hand <<'STEP'
16. It comes back
Port 22 is asked again.
STEP

# 17. Log in again
# The restart ended your session.
by_hand <<'STEP'
17. Log in again
The restart ended your session.
ssh warden@172.22.8.11
STEP

# 18. A tool for partitions
# It is not on every image.
sudo apt-get --yes install parted
by_hand <<'STEP'
You should see: its last line begins with “Setting up”, or says that it is the newest version.
STEP

# 19. Disk — which one it is
# Ask the box what disks it sees. Nothing is changed yet. Paste the whole answer; it tells the store's disk from the card the box runs on.
lsblk --json --bytes --output NAME,SIZE,TYPE,FSTYPE,LABEL,UUID,MOUNTPOINTS,RO,RM,MODEL,SERIAL,TRAN
by_hand <<'STEP'
You should see: a long text in curly brackets that names every disk.
STEP

# 20. Partition and file system
# One partition over the whole disk, with a GPT table (the older kind ends at 2.2 TB), and an ext4 file system on it. It is one chain that goes on only while all is well; it begins with the disk's serial number, its size, and that nothing of it is mounted. Paste it as a whole.
# Careful: This wipes the disk. It cannot be undone. If the last line says STOPPED, list the disks again.
by_hand <<'STEP'
20. Partition and file system
A value is not known yet. Fill it in and type:
test "$(lsblk --noheadings --nodeps --output SERIAL /dev/{{disk}})" = {{disk_serial}} \
  && test "$(lsblk --noheadings --nodeps --raw --bytes --output SIZE /dev/{{disk}})" = {{disk_bytes}} \
  && test -z "$(lsblk --noheadings --raw --output MOUNTPOINT /dev/{{disk}})" \
  && sudo parted --script /dev/{{disk}} mklabel gpt mkpart store ext4 1MiB 100% \
  && sudo udevadm settle \
  && sudo mkfs.ext4 -L store /dev/{{disk_partition}} \
  && sudo blkid -s UUID -o value /dev/{{disk_partition}} \
  || echo 'STOPPED: this is not the disk that was chosen, or it is mounted, or a command failed'
STEP

# 21. Mount it at every start
# The disk goes by its UUID, because letters change between starts; nofail lets the box start even when the disk is missing.
sudo mkdir --parents /srv/store
sudo tee --append /etc/fstab <<'LINE'
UUID=7c9e6679-7425-40de-944b-e07fc1f90ae7 /srv/store ext4 defaults,nofail,x-systemd.device-timeout=10s 0 2
LINE
sudo systemctl daemon-reload
sudo mount /srv/store
sudo chown warden:warden /srv/store
findmnt /srv/store
by_hand <<'STEP'
You should see: a line that names the mount point, the partition and ext4.
STEP

# 22. Share it
# A share of its own name, for one account, no guests.
sudo tee --append /etc/samba/smb.conf <<'SHARE'
[store]
   path = /srv/store
   browseable = yes
   read only = no
   guest ok = no
   valid users = warden
   create mask = 0660
   directory mask = 0770
SHARE
testparm --suppress-prompt
sudo systemctl enable smbd
sudo systemctl restart smbd
by_hand <<'STEP'
You should see: “Loaded services file OK.” and your share among the lines.
STEP

# 23. A network password for the share
# The share has its own password, apart from the login. You are asked for it twice; nothing shows while you type. Keep it in your password manager.
sudo smbpasswd -a warden
by_hand <<'STEP'
You should see: “Added user warden.”
STEP

# 24. The share answers
# Port 445 is asked from here, over the network, at the pinned address, and must greet as a file share.
by_hand <<'STEP'
24. The share answers
Port 445 is asked from here, over the network, at the pinned address, and must greet as a file share.
STEP

# 25. From each kind of client
# By its name; where the name gives an error, by its address. Account and network password are those of the share, not those of the login.
by_hand <<'STEP'
25. From each kind of client
By its name; where the name gives an error, by its address. Account and network password are those of the share, not those of the login.
STEP

# 26. Copy a file, from the desk and back
# Open the share on your desk computer, make a folder, and copy a file of about 1 GB in. Look at the rate after the first seconds, and at “top” on the box beside it.
by_hand <<'STEP'
26. Copy a file, from the desk and back
Open the share on your desk computer, make a folder, and copy a file of about 1 GB in. Look at the rate after the first seconds, and at “top” on the box beside it.
smb://warden@172.22.8.11/store
STEP

# 27. Is it on both sides?
# List the folder on the box: ls /srv/store. And open the file from another client. A port that answers is no acceptance, this is.
by_hand <<'STEP'
27. Is it on both sides?
List the folder on the box: ls /srv/store. And open the file from another client. A port that answers is no acceptance, this is.
STEP

# 28. No default login left
# Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
by_hand <<'STEP'
28. No default login left
Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
STEP
