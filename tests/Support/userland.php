<?php

declare(strict_types=1);

// The plain Debian 12 that ./burrow test has built, for tests that need its programs.

const USERLAND = 'var/userland';

/** A fresh layer over the userland with the packages; gone when the test process ends. */
function userland(): string
{
    $folder = getcwd().'/'.USERLAND.'/layer-'.bin2hex(random_bytes(4));
    $base = getcwd().'/'.USERLAND.'/base';
    $made = run(
        "mkdir -p {$folder}/{up,work,root} && mount -t overlay overlay -o lowerdir={$base},upperdir={$folder}/up,workdir={$folder}/work {$folder}/root && mount -t proc proc {$folder}/root/proc",
    );
    register_shutdown_function(
        fn () => exec("umount --lazy {$folder}/root/proc {$folder}/root 2>/dev/null; rm -rf {$folder}"),
    );
    $made['exit'] === 0 || throw new RuntimeException($made['all']);

    return "{$folder}/root";
}

/** Typed by warden, in that userland. */
function typedThere(string $root, string $script): array
{
    return run('timeout 120 chroot '.escapeshellarg($root).' su - warden -c "bash -s"', $script);
}
