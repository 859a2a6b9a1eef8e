#!/bin/bash
# Container host
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

# 2. Card in, power last
# Put the card in, contacts towards the board, then any disk. The network comes by radio, by the name and passphrase on the card. The supply comes last, so that nothing starts half connected.
# Careful: Use only a closed, approved supply. Anything on the mains side is work for a qualified person under local codes.
by_hand <<'STEP'
2. Card in, power last
Put the card in, contacts towards the board, then any disk. The network comes by radio, by the name and passphrase on the card. The supply comes last, so that nothing starts half connected.
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
ssh {{user}}@{{found}}
STEP

# 8. Pin its address in the router
# Enter a reservation on the router's page, under DHCP, for this hardware address. Save, and apply if the page has a second button for it.
by_hand <<'STEP'
8. Pin its address in the router
Enter a reservation on the router's page, under DHCP, for this hardware address. Save, and apply if the page has a second button for it.
{{mac}} → {{address}}
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
ssh {{user}}@{{address}}
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
ssh {{user}}@{{address}}
STEP

# 18. The container engine
# From the distribution's packages, so it is kept up to date with the system. Which engine this house uses stands in Settings.
sudo apt-get --yes install podman podman-compose
by_hand <<'STEP'
You should see: its last line begins with “Setting up” or “Processing”.
STEP

# 19. The engine answers
# It runs without a service of its own. Listing containers shows that it works; the list is empty.
sudo podman ps --all
by_hand <<'STEP'
You should see: a line of headings, and nothing below it.
STEP

# 20. What its documentation says
# These come from the service's own documentation. They are asked once and kept with this box.
by_hand <<'STEP'
20. What its documentation says
These come from the service's own documentation. They are asked once and kept with this box.
STEP

# 21. Its folder and its file
# A folder of its own with the compose file and the data beside it, so that moving the service is copying one folder.
by_hand <<'STEP'
21. Its folder and its file
A value is not known yet. Fill it in and type:
sudo mkdir --parents /srv/page/data
sudo tee /srv/page/compose.yaml <<'FILE'
{{compose_file}}
FILE
STEP

# 22. Fetch the image
# Before it is started, so that a wrong name shows here and not in a service that does not come up.
by_hand <<'STEP'
22. Fetch the image
A value is not known yet. Fill it in and type:
sudo podman pull {{image}}
STEP

# 23. Started now, and at every start
# Starting and being started at boot are two things; a unit of the system does both.
sudo tee /etc/systemd/system/box-page.service <<'UNIT'
[Unit]
Description=the containers of page
Wants=network-online.target
After=network-online.target

[Service]
Type=oneshot
RemainAfterExit=yes
WorkingDirectory=/srv/page
ExecStart=/usr/bin/podman-compose up --detach
ExecStop=/usr/bin/podman-compose down
TimeoutStartSec=900

[Install]
WantedBy=multi-user.target
UNIT
sudo systemctl daemon-reload
sudo systemctl enable --now box-page
sudo podman ps
by_hand <<'STEP'
You should see: a line for page that says “Up”.
STEP

# 24. Its page answers
# Asked from here: http://{{address}}:8083{{page_path}}. Answering and being ready are two stages; a page that says it is loading wants some minutes more.
by_hand <<'STEP'
24. Its page answers
Asked from here: http://{{address}}:8083{{page_path}}. Answering and being ready are two stages; a page that says it is loading wants some minutes more.
STEP

# 25. Claim it at once
# Open http://{{address}}:8083{{page_path}} now. Whoever visits a fresh page first owns it, or its default login is known to everybody.
# Careful: Until it is claimed nothing of it may be reached from outside.
by_hand <<'STEP'
25. Claim it at once
Open http://{{address}}:8083{{page_path}} now. Whoever visits a fresh page first owns it, or its default login is known to everybody.
STEP

# 26. Your account may not take low ports
# Without administrator rights a container runs as you, and may not open a port below 1024. Here an error is the right result. Whoever is in the group of an engine that runs as administrator is one, too: leave that group empty.
by_hand <<'STEP'
26. Your account may not take low ports
A value is not known yet. Fill it in and type:
podman run --rm --publish 80:{{inner_port}} {{image}}
STEP

# 27. Which ports it publishes
# The engine opens published ports past the box's own firewall. What stands here on 0.0.0.0 is open to the whole house.
sudo ss -tulpn
by_hand <<'STEP'
You should see: the port 8083, and no other that you do not know.
STEP

# 28. Does it come back by itself?
# A restart tells whether it was switched on for every start.
by_hand <<'STEP'
28. Does it come back by itself?
A restart tells whether it was switched on for every start.
sudo systemctl reboot
STEP

# 29. Its page answers again
# Asked from here: http://{{address}}:8083{{page_path}}.
by_hand <<'STEP'
29. Its page answers again
Asked from here: http://{{address}}:8083{{page_path}}.
STEP

# 30. No default login left
# Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
by_hand <<'STEP'
30. No default login left
Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
STEP
