#!/bin/sh
# Watches this box for a minute while one file of about 1 GB is copied to it, or from it. Start it, then copy.
set -eu
LC_ALL=C
export LC_ALL
left=${1:-60}
look() {
    # Bytes of all networks but loopback, whichever way is busier; bytes of whole disks; ticks of each core.
    awk '
        FILENAME == "/proc/net/dev" && /:/ { sub(/^ +/, ""); split($0, a, /[: ]+/); if (a[1] != "lo") { rx += a[2]; tx += a[10] } }
        FILENAME == "/proc/diskstats" && $3 ~ /^(sd[a-z]+|mmcblk[0-9]+|nvme[0-9]+n[0-9]+|vd[a-z]+)$/ { disk += ($6 + $10) * 512 }
        FILENAME == "/proc/stat" && /^cpu[0-9]/ { idle = $5 + $6; all = 0; for (i = 2; i <= 9; i++) all += $i; cores = cores " " idle "/" all }
        END { printf "%.0f %.0f %.0f%s\n", rx, tx, disk, cores }
    ' /proc/net/dev /proc/diskstats /proc/stat
}
before=$(look)
while [ "$left" -gt 0 ]; do
    sleep 1
    now=$(look)
    echo "$before
$now" | awk '
        NR == 1 { split($0, b, " "); n = NF }
        NR == 2 {
            split($0, c, " ")
            rx = c[1] - b[1]; tx = c[2] - b[2]; net = rx > tx ? rx : tx
            line = sprintf("watched net=%.0f disk=%.0f busy=", net, c[3] - b[3])
            for (i = 4; i <= n; i++) {
                split(b[i], x, "/"); split(c[i], y, "/")
                all = y[2] - x[2]
                line = line (i > 4 ? "," : "") (all > 0 ? int(100 - 100 * (y[1] - x[1]) / all + .5) : 0)
            }
            print line
        }'
    before=$now
    left=$((left - 1))
done
