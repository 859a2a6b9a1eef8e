<?php

declare(strict_types=1);

namespace Bench;

use React\Socket\ConnectionInterface;
use Throwable;

/** The bench's handle: one JSON object a line in, one out. */
final readonly class Control
{
    private const LONGEST = 1024 * 1024;

    public function __construct(private Lab $lab)
    {
    }

    public function serve(ConnectionInterface $connection): void
    {
        $buffer = '';
        $connection->on('data', function (string $data) use (&$buffer, $connection): void {
            $buffer .= $data;
            if (strlen($buffer) > self::LONGEST) {
                $connection->close();

                return;
            }
            while (($end = strpos($buffer, "\n")) !== false) {
                $line = substr($buffer, 0, $end);
                $buffer = substr($buffer, $end + 1);
                $connection->write(json_encode($this->answer($line), JSON_INVALID_UTF8_SUBSTITUTE)."\n");
            }
        });
    }

    /** @return array<string, mixed> */
    private function answer(string $line): array
    {
        $ask = json_decode($line, true);
        if (! is_array($ask)) {
            return ['error' => 'not a JSON object'];
        }
        try {
            return $this->act($ask) + ['ok' => true];
        } catch (Throwable $problem) {
            fwrite(STDERR, 'bench: '.$problem."\n");

            return ['error' => $problem->getMessage()];
        }
    }

    /**
     * @param  array<mixed>  $ask
     * @return array<string, mixed>
     */
    private function act(array $ask): array
    {
        $board = $this->lab->board((string) ($ask['board'] ?? ''));
        $do = (string) ($ask['do'] ?? '');
        if ($board === null && in_array($do, ['power', 'type'], true)) {
            return ['error' => 'no such board'];
        }
        if (
            $do === 'insert' &&
            preg_match(
                '/^[a-z0-9:-]+ ([0-9a-f]{2}:){5}[0-9a-f]{2}$/D',
                ($ask['board'] ?? '').' '.($ask['mac'] ?? ''),
            ) !== 1
        ) {
            return ['error' => 'a board has a name and a hardware address'];
        }
        switch ($do) {
            case 'status':
                return $this->lab->status();
            case 'leases':
                return ['text' => $this->lab->leaseFile()];
            case 'type':
                return ['output' => $this->lab->type($board, (string) $ask['command'])];
            case 'load':
                $this->lab->load((array) $ask['state']);
                break;
            case 'speed':
                $this->lab->setSpeed((float) $ask['speed']);
                break;
            case 'reserve':
                $this->lab->reserve((string) $ask['mac'], (string) $ask['address']);
                break;
            case 'insert':
                $this->lab->insert(
                    (string) $ask['board'],
                    (string) $ask['mac'],
                    (string) $ask['class'],
                    (int) $ask['network_after'],
                    (array) $ask['files'],
                    isset($ask['disk']) ? (array) $ask['disk'] : null,
                );
                break;
            case 'power':
                $this->lab->power($board, (bool) $ask['on']);
                break;
            default:
                return ['error' => 'unknown request'];
        }

        return [];
    }
}
