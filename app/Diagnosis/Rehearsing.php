<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Bench\BenchClient;
use App\Models\Box;
use App\Models\Diagnosis;
use App\Models\Rehearsal;
use Burrow\Diagnosis\Circumstances;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Know\Knowledge;
use Burrow\Diagnosis\Play;
use Burrow\Diagnosis\Seen;
use Random\Randomizer;

/**
 * Practice before the real evening: something is hidden in a board of the bench, the person brings the box up again,
 * and is told afterwards what it was and how long the search took.
 */
final readonly class Rehearsing
{
    /** What a fault of the bench is in the words of the diagnosis; the two know nothing of each other. */
    private const CAUSES = [
        'dead-supply' => 'no-power',
        'no-cable' => 'cable-out',
        'weak-supply' => 'weak-supply',
        'back-feed' => 'back-feed',
        'hot' => 'overheated',
        'card-loose' => 'card-not-seated',
        'card-turned' => 'card-wrong-way',
        'card-empty' => 'card-not-written',
        'card-other-board' => 'wrong-image',
        'card-dying' => 'card-dying',
        'card-counterfeit' => 'card-counterfeit',
        'start-damaged' => 'boot-damaged',
        'marker-extension' => 'marker-extension',
        'no-remote-login' => 'no-remote-login',
        'line-ends' => 'card-line-ends',
        'wrong-country' => 'wifi-country',
        'wrong-passphrase' => 'wifi-passphrase',
        'address-clash' => 'address-clash',
        'wrong-subnet' => 'wrong-subnet',
        'guest-network' => 'guest-network',
        'no-mdns' => 'no-mdns',
        'key-changed' => 'key-changed',
        'wrong-user' => 'wrong-user',
        'first-password' => 'password-expired',
        'firewall' => 'firewall',
        'service-stopped' => 'service-stopped',
        'not-enabled' => 'not-enabled',
        'port-taken' => 'port-taken',
        'other-port' => 'other-port',
        'loopback-only' => 'loopback-only',
        'page-loading' => 'page-loading',
        'unclaimed' => 'page-unclaimed',
        'clock-wrong' => 'clock-wrong',
        'interface-renamed' => 'interface-renamed',
        'step-cut' => 'step-cut',
        'installer-network' => 'installer-network',
        'lease-moved' => 'lease-moved',
        'internet-out' => 'internet-out',
        'disk-stops' => 'disk-missing-stops',
        'disk-missing' => 'disk-missing',
        'disk-full' => 'disk-full',
        'upgrade-broken' => 'upgrade-interrupted',
        'other-dns' => 'v6-resolver',
        'second-dhcp' => 'second-dhcp',
        'switch-dead' => 'switch-dead',
        'share-password' => 'share-password',
        'slow-link' => 'slow-hundred',
        'no-forward' => 'no-forward',
    ];

    public function __construct(private BenchClient $bench)
    {
    }

    /** @param  string  $fault  name of a fault of the bench */
    public static function cause(string $fault): string
    {
        return self::CAUSES[$fault] ?? '';
    }

    /**
     * Hides one fault, or two, in the board of a box and starts it anew.
     *
     * @param  int  $how  how many
     */
    public function begin(
        Box $box,
        int $how,
        Knowledge $knowledge,
        Circumstances $circumstances,
        Randomizer $chance,
    ): Rehearsal {
        $fitting = array_filter(
            self::CAUSES,
            fn (string $cause): bool => $circumstances->weight($knowledge->causes[$cause]->needs) > 0,
        );
        $names = $chance->shuffleArray(array_keys($fitting));
        $fault = implode('+', array_slice($names, 0, $how === 2 ? 2 : 1));
        $this->set($box->id, $fault);
        Diagnosis::query()
            ->where('box_id', $box->id)
            ->whereNull('ended_at')
            ->update(['ended_at' => now()]);

        return Rehearsal::query()->create([
            'box_id' => $box->id,
            'fault' => $fault,
            'begun_at' => now(),
            'looks' => [],
            'told' => [],
        ]);
    }

    /** What is to be seen at the board. */
    public function look(Rehearsal $rehearsal, string $check): string
    {
        return $this->bench->text('look', 'sees', ['board' => "box-{$rehearsal->box_id}", 'at' => $check]);
    }

    /** An answer was given: its minutes count, and the doubt that it cleared is what it was worth. */
    public function answered(Rehearsal $rehearsal, Seen $seen, Conversation $before): void
    {
        $check = $before->knowledge->checks[$seen->check];
        $look = [
            'check' => $seen->check,
            'answer' => $seen->answer,
            'minutes' => (string) $check->minutes,
            'bits' => (string) round($before->odds()->doubt() - $before->saw($seen)->odds()->doubt(), 2),
        ];
        $rehearsal->changeInTurn(fn (Rehearsal $now): array => ['looks' => [...$now->looks ?? [], $look]]);
    }

    /**
     * The person says what it is. What is right is put right on the bench; when nothing is left it is over.
     *
     * @return ?bool whether it was right; null when all is found
     */
    public function say(Rehearsal $rehearsal, string $cause): ?bool
    {
        $left = $rehearsal->left();
        $hit =
            array_values(array_filter($left, fn (string $fault): bool => self::cause($fault) === $cause))[0] ?? null;
        $still = array_values(array_diff($left, [$hit]));
        if ($hit !== null) {
            $this->set($rehearsal->box_id, $still[0] ?? '');
        }
        $rehearsal->changeInTurn(
            fn (Rehearsal $now): array => [
                'told' => [...$now->told ?? [], ['cause' => $cause, 'fault' => (string) $hit]],
                'ended_at' => $still === [] ? now() : null,
            ],
        );

        return $still === [] ? null : $hit !== null;
    }

    public function giveUp(Rehearsal $rehearsal): void
    {
        $rehearsal->update(['ended_at' => now()]);
        Diagnosis::query()
            ->where('box_id', $rehearsal->box_id)
            ->whereNull('ended_at')
            ->update(['ended_at' => now()]);
        $this->set($rehearsal->box_id, '');
    }

    /** Minutes of checks that the search would have taken with every check the best one and every answer the usual. */
    public static function best(Rehearsal $rehearsal, Knowledge $knowledge, Circumstances $circumstances): float
    {
        $causes = array_values(
            array_filter(
                array_map(
                    fn (string $fault): ?Cause => $knowledge->causes[self::cause($fault)] ?? null,
                    $rehearsal->faults(),
                ),
            ),
        );

        return $causes === [] ? 0.0 : Play::of($knowledge, $causes, null, $circumstances)->minutes();
    }

    private function set(int $box, string $fault): void
    {
        $this->bench->ask(['do' => 'fault', 'board' => "box-{$box}", 'fault' => $fault]);
        $this->bench->ask(['do' => 'power', 'board' => "box-{$box}", 'on' => true]);
    }
}
