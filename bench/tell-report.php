<?php

declare(strict_types=1);

/*
 * php bench/tell-report.php SOCKET BOARD: prints what the report's script prints on that board. It is what the bench's
 * sshd runs, whatever was asked for.
 */

$door = @stream_socket_client("unix://{$argv[1]}", timeout: 5);
if ($door === false) {
    fwrite(STDERR, "the bench does not answer\n");
    exit(1);
}
stream_set_timeout($door, 20);
fwrite($door, json_encode(['do' => 'report', 'board' => $argv[2]])."\n");
$said = json_decode((string) fgets($door), true);
$text = is_array($said) ? $said['text'] ?? null : null;
if (! is_string($text)) {
    fwrite(STDERR, "sh: 1: /usr/local/bin/burrow-report: not found\n");
    exit(127);
}
echo $text;
