<?php

declare(strict_types=1);

namespace Bench;

use Bench\Board\Board;
use React\Socket\ConnectionInterface;
use Throwable;

/** The bench's handle: one JSON object a line in, one out. */
final readonly class Control
{
    private const LONGEST = 1024 * 1024;

    /** What is asked of one board, which must be there. */
    private const OF_A_BOARD = [
        'type',
        'power',
        'fault',
        'look',
        'report',
        'scrap',
        'swap',
        'claim',
        'renew',
        'plug',
        'unplug',
        'other-part',
    ];

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
        $ask = Ask::from($line);
        if ($ask === null) {
            return ['error' => 'not a JSON object'];
        }
        try {
            return $this->act($ask) + ['ok' => true];
        } catch (Throwable $problem) {
            fwrite(STDERR, 'bench: '.$problem."\n");

            return ['error' => $problem->getMessage()];
        }
    }

    /** @return array<string, mixed> */
    private function act(Ask $ask): array
    {
        $do = $ask->text('do');
        if (in_array($do, self::OF_A_BOARD, true)) {
            $board = $this->lab->board($ask->text('board'));

            return $board === null ? ['error' => 'no such board'] : $this->atBoard($board, $do, $ask);
        }
        switch ($do) {
            case 'status':
                return $this->lab->status();
            case 'leases':
                return ['text' => $this->lab->leaseFile()];
            case 'wire':
                return ['wire' => $this->lab->wire()];
            case 'multicast':
                return ['address' => $this->lab->byMulticast($ask->text('name'))];
            case 'outside':
                return [
                    'leads_to' => $this->lab->fromOutside((int) $ask->number('port'), $ask->text('protocol')),
                ];
            case 'insert':
                return $this->insert($ask);
            case 'load':
                $this->lab->load($ask->map('state') ?? []);
                break;
            case 'speed':
                $this->lab->setSpeed($ask->number('speed'));
                break;
            case 'reserve':
                $this->lab->reserve($ask->text('mac'), $ask->text('address'));
                break;
            case 'open':
                $this->lab->open(
                    (int) $ask->number('port'),
                    $ask->text('protocol'),
                    $ask->text('address'),
                    (int) $ask->number('inside'),
                );
                break;
            case 'shut':
                $this->lab->shut((int) $ask->number('port'), $ask->text('protocol'));
                break;
            case 'line':
                $this->lab->changeLine($ask->text('kind'));
                break;
            case 'network':
                $this->lab->live($ask->map('network') ?? []);
                break;
            case 'dns':
                $this->lab->handOut(array_values($ask->texts('servers')));
                break;
            case 'rate':
                $this->lab->runAt($ask->number('mbit'));
                break;
            case 'redial':
                $this->lab->redial($ask->yes('follows'));
                break;
            default:
                return ['error' => 'unknown request'];
        }

        return [];
    }

    /** @return array<string, mixed> */
    private function atBoard(Board $board, string $do, Ask $ask): array
    {
        switch ($do) {
            case 'type':
                return ['output' => $this->lab->type($board, $ask->text('command'))];
            case 'look':
                return ['sees' => $this->lab->look($board, $ask->text('at'))];
            case 'report':
                return ['text' => $this->lab->report($board)];
            case 'fault':
                $this->lab->fault($board, $ask->text('fault'));
                break;
            case 'power':
                $this->lab->power($board, $ask->yes('on'));
                break;
            case 'claim':
                $this->lab->claim($board);
                break;
            case 'swap':
                $this->lab->swap($board, $ask->text('mac'));
                break;
            case 'renew':
                $this->lab->renew($board);
                break;
            case 'plug':
                $this->lab->plug($board, $ask->map('disk') ?? []);
                break;
            case 'unplug':
                $this->lab->unplug($board, $ask->text('serial'));
                break;
            case 'other-part':
                $this->lab->otherPart($board);
                break;
            default:
                $this->lab->scrap($board);
        }

        return [];
    }

    /** @return array<string, mixed> */
    private function insert(Ask $ask): array
    {
        $named = preg_match('/^[a-z0-9:-]+$/D', $ask->text('board')) === 1;
        if (! $named || preg_match('/^([0-9a-f]{2}:){5}[0-9a-f]{2}$/D', $ask->text('mac')) !== 1) {
            return ['error' => 'a board has a name and a hardware address'];
        }
        $this->lab->insert(
            $ask->text('board'),
            $ask->text('mac'),
            $ask->text('class'),
            (int) $ask->number('network_after'),
            $ask->texts('files'),
            $ask->map('disk'),
            $ask->services('services'),
        );

        return [];
    }
}
