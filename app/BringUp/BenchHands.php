<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Catalogue\Playbooks;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Hands\CardMade;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Outcome;

/** The bench stands in for a person's hands: power, plugs and parts, what is typed, what the router's page is told. */
final readonly class BenchHands
{
    public function __construct(
        private BenchClient $bench,
        private RunDesk $desk,
        private Playbooks $playbooks,
    ) {
    }

    /**
     * @param  array<string, string>  $given
     * @return array<string, string> what stands in the step's fields afterwards
     *
     * @throws BenchAway where the bench does not run
     * @throws StepTold where this is no step of the bench
     */
    public function help(
        Run $run,
        RunBook $book,
        RunStep $step,
        int $version,
        BenchHelp $help,
        array $given,
    ): array {
        $played = $book->step($step);
        $looksIn = $help === BenchHelp::LookIn;
        $command = $book->values($played)->fill($looksIn ? $played->more->lookIn : $played->command);
        $can = $looksIn
            ? $played->kind->bench() === BenchHelp::Type && $played->more->lookIn !== ''
            : $played->kind->bench() === $help;
        if (! $can || $command === null || ! $run->box->on_bench) {
            throw new StepTold('The bench cannot do this step yet.');
        }
        switch ($help) {
            case BenchHelp::Type:
            case BenchHelp::LookIn:
                return [
                    ...$given,
                    Pasted::FIELD => $this->bench->text('type', 'output', [
                        'board' => self::board($run),
                        'command' => $command,
                    ]),
                ];
            case BenchHelp::Open:
                $port = (int) ($book->values($played)->words['tunnel_port'] ?? 0);
                $this->bench->ask([
                    'do' => 'open',
                    'port' => $port,
                    'protocol' => 'udp',
                    'address' => (string) $book->address(),
                    'inside' => $port,
                ]);
                $this->desk->settle($step, $version, Outcome::over('opened in the router of the bench'));

                return $given;
            case BenchHelp::Reserve:
                $this->bench->ask([
                    'do' => 'reserve',
                    'mac' => $run->box->mac,
                    'address' => (string) $book->address(),
                ]);
                $this->desk->settle($step, $version, Outcome::over('reserved on the bench'));

                return $given;
            default:
                session()->flash('told', $this->atTheBoard($run, $help, $given));

                return $given;
        }
    }

    private static function board(Run $run): string
    {
        return "box-{$run->box_id}";
    }

    /**
     * What only hands can do; the step stays open, as it is over when the person says so.
     *
     * @param  array<string, string>  $given
     * @return string what was done
     */
    private function atTheBoard(Run $run, BenchHelp $help, array $given): string
    {
        $board = ['board' => self::board($run)];
        switch ($help) {
            case BenchHelp::Power:
                $this->bench->ask(['do' => 'power', 'on' => true] + $board);

                return 'The bench board is on.';
            case BenchHelp::Claim:
                $this->bench->ask(['do' => 'claim'] + $board);

                return 'The page of the bench board has an owner now.';
            case BenchHelp::OldOff:
                $old = 'box-'.$run->learnedText('from_box');
                $this->bench->ask(['do' => 'power', 'board' => $old, 'on' => false]);

                return 'The old bench board is off.';
            case BenchHelp::Across:
                $this->bench->ask(['do' => 'swap', 'mac' => self::nextMac((string) $run->box->mac)] + $board);

                return 'The card is in another bench board, which is off.';
            case BenchHelp::OtherCard:
                if (($given[CardMade::FIELD] ?? '') === '') {
                    throw new StepTold('Say first how the card is made.');
                }
                if ($given[CardMade::FIELD] === 'image') {
                    $this->bench->ask(['do' => 'renew'] + $board);
                }

                return 'The other card is in the bench board, which is off.';
            case BenchHelp::PlugIn:
                $drive = $this->playbooks->catalogue->drive($run->newParts()['drive'] ?? null);
                $this->bench->ask(
                    [
                        'do' => 'plug',
                        'disk' => [
                            'bytes' => $drive?->capacity->count,
                            'serial' => "NEXT{$run->id}",
                        ],
                    ] + $board,
                );

                return 'Another disk is plugged into the bench board.';
            case BenchHelp::PlugOut:
                $this->bench->ask(['do' => 'unplug', 'serial' => $run->learnedText('old_serial')] + $board);

                return 'The old disk is unplugged from the bench board.';
            default:
                $this->bench->ask(['do' => 'other-part'] + $board);

                return 'The bench board has the other part.';
        }
    }

    /** Locally administered like all of the bench's, and another one than the board had before. */
    private static function nextMac(string $mac): string
    {
        $sixth = hexdec(substr($mac, -2));

        return substr($mac, 0, -2).sprintf('%02x', ($sixth + 0x40) % 256);
    }
}
