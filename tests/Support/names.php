<?php

declare(strict_types=1);

/*
 * A machine that answers for names, on loopback: php names.php PORT HOW
 * HOW: right, other-number, other-name, no-dns, hostile
 */

use React\Dns\Model\Message;
use React\Dns\Model\Record;
use React\Dns\Protocol\BinaryDumper;
use React\Dns\Protocol\Parser;

require __DIR__.'/../../vendor/autoload.php';

[, $port, $how] = $argv;
$socket = stream_socket_server("udp://127.0.0.1:{$port}", $code, $message, STREAM_SERVER_BIND);
$socket === false && exit(1);
while (true) {
    $packet = stream_socket_recvfrom($socket, 9000, 0, $peer);
    $asked = (new Parser())->parseMessage((string) $packet);
    $question = $asked->questions[0];
    $answer = Message::createResponseWithAnswersForQuery($question, [
        new Record(
            $how === 'other-name' ? '1.2.3.4.in-addr.arpa' : $question->name,
            Message::TYPE_PTR,
            Message::CLASS_IN,
            60,
            $how === 'hostile' ? '-rf*;.local' : 'Lantern.local',
        ),
    ]);
    $answer->id = $asked->id + ($how === 'other-number' ? 1 : 0);
    $said = $how === 'no-dns' ? str_repeat("\xC0", 4000) : (new BinaryDumper())->toBinary($answer);
    stream_socket_sendto($socket, $said, 0, $peer);
}
