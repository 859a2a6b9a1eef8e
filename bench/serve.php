<?php

declare(strict_types=1);

/*
 * The bench as a program: php bench/serve.php --state=FILE --socket=PATH [--offset=20000]
 * It listens on loopback only; a box at 172.22.8.16 stands at 127.22.8.16, each port raised by the offset.
 */

use Bench\Control;
use Bench\Lab;
use Bench\Net\PackageIndex;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SocketServer;
use React\Socket\UnixServer;

require __DIR__.'/../vendor/autoload.php';

$options = getopt('', ['state:', 'socket:', 'offset:']);
if ($options === false || ! is_string($options['state'] ?? null) || ! is_string($options['socket'] ?? null)) {
    fwrite(STDERR, "usage: php bench/serve.php --state=FILE --socket=PATH [--offset=20000]\n");
    exit(2);
}
$offset = (int) ($options['offset'] ?? 20000);
$lab = new Lab($options['state'], $offset, $options['socket']);

@unlink($options['socket']);
umask(0077);
$control = new Control($lab);
(new UnixServer($options['socket']))->on('connection', $control->serve(...));

$index = new PackageIndex();
try {
    (new SocketServer('tcp://127.22.8.1:'.(80 + $offset)))->on(
        'connection',
        fn (ConnectionInterface $c) => $c->end(
            "HTTP/1.0 200 OK\r\nContent-Type: text/plain\r\n\r\n".$index->asFile(),
        ),
    );
} catch (RuntimeException $taken) {
    fwrite(STDERR, "bench: the package index has no port: {$taken->getMessage()}\n");
}

foreach ([SIGTERM, SIGINT] as $signal) {
    Loop::addSignal($signal, fn () => exit(0));
}
