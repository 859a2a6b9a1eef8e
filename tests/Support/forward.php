<?php

declare(strict_types=1);

// Stands between a browser and the copy that it visits, so that the house can be cut off: php forward.php PORT TARGET.

require __DIR__.'/../../vendor/autoload.php';

use React\Socket\ConnectionInterface;
use React\Socket\Connector;
use React\Socket\SocketServer;

$server = new SocketServer("127.0.0.1:{$argv[1]}");
$server->on('connection', function (ConnectionInterface $in) use ($argv): void {
    $in->pause();
    (new Connector())
        ->connect("127.0.0.1:{$argv[2]}")
        ->then(function (ConnectionInterface $out) use ($in): void {
            $in->pipe($out);
            $out->pipe($in);
            $in->resume();
        }, fn () => $in->close());
});
