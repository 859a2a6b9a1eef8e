#!/bin/bash
# DNS filter
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

# 4. Remote login answers
# Port 22 is asked at the address found. It says open, refused or silent, and each means something else.
by_hand <<'STEP'
4. Remote login answers
Port 22 is asked at the address found. It says open, refused or silent, and each means something else.
STEP

# 5. Keep its host key
# The key that the box shows on port 22 is written down now, so that a stranger in its place is noticed later. Compare it with the one on the box's screen if it has one.
by_hand <<'STEP'
5. Keep its host key
The key that the box shows on port 22 is written down now, so that a stranger in its place is noticed later. Compare it with the one on the box's screen if it has one.
STEP

# 6. It answers at the address on its card
# Port 22 is asked at that address, and the host key must be the one kept. The router knows nothing of it, so keep it out of what the router hands out.
by_hand <<'STEP'
6. It answers at the address on its card
Port 22 is asked at that address, and the host key must be the one kept. The router knows nothing of it, so keep it out of what the router hands out.
STEP

# 7. Log in
# Never with administrator rights on the desk computer; the key memory would be another account's.
by_hand <<'STEP'
7. Log in
Never with administrator rights on the desk computer; the key memory would be another account's.
ssh warden@172.22.8.12
STEP

# 8. What it runs
# The release, the architecture, the memory in use and the clock, before anything is installed. A wrong clock is the usual cause when nothing can be fetched.
cat /etc/os-release
dpkg --print-architecture
free --mebi
timedatectl
by_hand <<'STEP'
You should see: the release of the image you wrote, about 100 MB in use, your time zone, and “System clock synchronized: yes”.
STEP

# 9. Fetch the package index
# The list of what is new. Nothing is installed yet.
sudo apt-get update
by_hand <<'STEP'
You should see: “Reading package lists... Done”.
STEP

# 10. Bring the system up to date
# Security fixes since the image was made.
# Careful: Do not pull the power now. A system cut off in the middle of an upgrade may not start again.
sudo apt-get --yes full-upgrade
by_hand <<'STEP'
You should see: a list of packages, then scrolling lines. It can stand still for a minute at “Setting up”. Leave it.
STEP

# 11. Restart
# So that the new kernel and libraries are the ones in use.
by_hand <<'STEP'
11. Restart
So that the new kernel and libraries are the ones in use.
sudo systemctl reboot
STEP

# 12. It comes back
# Port 22 is asked again.
by_hand <<'STEP'
12. It comes back
Port 22 is asked again.
STEP

# 13. Log in again
# The restart ended your session.
by_hand <<'STEP'
13. Log in again
The restart ended your session.
ssh warden@172.22.8.12
STEP

# 14. Is port 53 free?
# The system's own stub resolver often holds it, on a loopback address of its own; then nothing stands in the way. Anything on “0.0.0.0:53” does.
sudo ss -tulpn 'sport = :53'
by_hand <<'STEP'
You should see: headings alone, or lines with 127.0.0.53.
STEP

# 15. What is refused, and whom it asks
# The whole household is told what is kept and for how long. By default no query is written down.
by_hand <<'STEP'
15. What is refused, and whom it asks
The whole household is told what is kept and for how long. By default no query is written down.
STEP

# 16. The resolver
# A small one of the distribution; it is kept up to date with the system.
sudo apt-get --yes install dnsmasq
by_hand <<'STEP'
You should see: its last lines begin with “Setting up” or “Processing”.
STEP

# 17. Its settings and its list
# Two files of this house, looked over by the program before it starts with them. Then it is switched on, now and for every start.
by_hand <<'STEP'
17. Its settings and its list
A value is not known yet. Fill it in and type:
sudo tee /etc/dnsmasq.d/house.conf <<'FILE'
{{dnsmasq_settings}}
FILE
sudo tee /etc/dnsmasq.d/list.conf <<'FILE'
{{dnsmasq_list}}
FILE
sudo dnsmasq --test
sudo systemctl enable dnsmasq
sudo systemctl restart dnsmasq
STEP

# 18. Names are refused and answered
# Asked from here over UDP and TCP, at this box alone: a listed name, one on no list, and the box's own.
by_hand <<'STEP'
18. Names are refused and answered
Asked from here over UDP and TCP, at this box alone: a listed name, one on no list, and the box's own.
STEP

# 19. One client first
# On one desk computer or phone, set the DNS server by hand to 172.22.8.12. Open a page with advertisements before and after, and look at the count of queries: it rises while that page loads.
by_hand <<'STEP'
19. One client first
On one desk computer or phone, set the DNS server by hand to 172.22.8.12. Open a page with advertisements before and after, and look at the count of queries: it rises while that page loads.
STEP

# 20. Does that client work as it should?
# Use it for a while as you always do.
by_hand <<'STEP'
20. Does that client work as it should?
Use it for a while as you always do.
STEP

# 21. The way back, on paper
# When this box dies, the house has no names. Write on paper beside the router: “DNS to automatic”, and where that stands on its page.
by_hand <<'STEP'
21. The way back, on paper
When this box dies, the house has no names. Write on paper beside the router: “DNS to automatic”, and where that stands on its page.
STEP

# 22. Then the whole house
# On the router's page under LAN or DHCP: DNS server 172.22.8.12, and no second one; a second one that does not filter answers half the questions. (Under WAN it would work as well, but every query would come from the router, and clients have no names in the log.)
by_hand <<'STEP'
22. Then the whole house
On the router's page under LAN or DHCP: DNS server 172.22.8.12, and no second one; a second one that does not filter answers half the questions. (Under WAN it would work as well, but every query would come from the router, and clients have no names in the log.)
STEP

# 23. The clients renew their leases
# Each client learns of the new server when it renews its lease, at the latest after the lease's time; reconnecting it does it at once.
by_hand <<'STEP'
23. The clients renew their leases
Each client learns of the new server when it renews its lease, at the latest after the lease's time; reconnecting it does it at once.
STEP

# 24. Names, once more
# Asked from here again: a listed name is refused, another is answered.
by_hand <<'STEP'
24. Names, once more
Asked from here again: a listed name is refused, another is answered.
STEP

# 25. No default login left
# Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
by_hand <<'STEP'
25. No default login left
Every page and account that came with a password of its own has a new one, or none works but the key. Write down where the passwords are kept, never the passwords.
STEP
