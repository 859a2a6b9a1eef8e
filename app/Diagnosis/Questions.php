<?php

declare(strict_types=1);

namespace App\Diagnosis;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Certificate;
use App\Models\Service;
use App\Probe\HostKeyProbe;
use App\Probe\NameProbe;
use App\Probe\PageProbe;
use App\Probe\PingProbe;
use App\Probe\ReverseNames;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Look\Probed;
use Burrow\Diagnosis\Seen;
use Burrow\Household\DoorState;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Neighbours\Neighbour;
use Burrow\Intake\Own\OwnAddress;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Ports\ShownCertificate;
use InvalidArgumentException;

/** The checks that the tool makes itself: it asks the network, and says only what it met. */
final readonly class Questions
{
    private const LOGIN = 22;

    /** Seconds from the power to the network at a first start: common practice. */
    private const FIRST_START = [120.0, 300.0];

    public function __construct(
        private TcpProbe $tcp,
        private HostKeyProbe $keys,
        private PageProbe $pages,
        private NameProbe $names,
        private ReverseNames $called,
        private PingProbe $pings,
        private BenchClient $bench,
        private Intake $intake,
    ) {
    }

    /**
     * Every question that makes sense now, with what came back. What could not be asked is not among them.
     *
     * @return list<Seen>
     */
    public function ask(Box $box, Conversation $talk): array
    {
        $answers = [];
        $doors = $this->doors($box);
        foreach ($talk->knowledge->checks as $check) {
            if ($check->probe === '' || ($talk->answer($check->id) === null && ! $talk->isOffered($check))) {
                continue;
            }
            $answer = match ($check->probe) {
                'reach' => $this->reach($box, $doors),
                'neighbours' => $this->neighbours($box),
                'router-list' => $this->onBench($box),
                'page' => $this->page($box, $doors),
                'filter' => $this->filter($box),
                'name' => $this->name($box, $doors),
                'certificate' => $this->certificate($box, $doors),
                'card-read' => $box->card_written_at === null
                    ? null
                    : Probed::card(array_values(array_filter($box->card_codes ?? [], is_string(...)))),
                'since-power' => $this->sincePower($box),
                default => null,
            };
            if ($answer !== null) {
                $answers[] = new Seen($check->id, $answer, now()->getTimestamp(), true);
            }
        }

        return $answers;
    }

    /** What a pasted text says of a check; null when it says nothing of it. */
    public function read(Box $box, string $check, string $text): ?string
    {
        $reading = $this->intake->read($check === 'desk-address' ? 'own-address' : 'auto', $text);
        if ($check === 'desk-address') {
            $network = Prefix::tryParse($box->network->prefix);

            return $network === null ? null : Probed::desk($reading->all(OwnAddress::class), $network);
        }

        return $check === 'router-list'
            ? Probed::inList(
                [...$reading->all(Lease::class), ...$reading->all(Neighbour::class)],
                $box->mac,
                (string) $box->name,
                $box->address,
            )
            : null;
    }

    /** @return array<int, DoorState> by port; empty when there is no address to ask */
    private function doors(Box $box): array
    {
        $address = $box->ipv4();
        if ($address === null) {
            return [];
        }
        $targets = [];
        try {
            $targets[self::LOGIN] = Target::of($box, $address, self::LOGIN);
            foreach ($box->services->where('protocol', 'tcp') as $service) {
                $targets[$service->port] = Target::of($box, $address, $service->port);
            }
        } catch (InvalidArgumentException) {
            return [];
        }

        return $this->tcp->askAll($targets);
    }

    /** @param  array<int, DoorState>  $doors */
    private function reach(Box $box, array $doors): ?string
    {
        $key = null;
        $address = $box->ipv4();
        if (
            $address !== null &&
            $box->host_key !== null &&
            ($doors[self::LOGIN] ?? null) === DoorState::Open
        ) {
            $met = $this->keys->ask(Target::of($box, $address, self::LOGIN));
            $key = $met === null ? null : $met->fingerprint() === $box->host_key;
        }

        return Probed::reach(
            $doors[self::LOGIN] ?? null,
            $key,
            array_values(array_diff_key($doors, [self::LOGIN => 0])),
            $doors === [] || $address === null
                ? null
                : $this->pings->askAll([Target::of($box, $address, self::LOGIN)])[0] ?? null,
        );
    }

    private function neighbours(Box $box): ?string
    {
        $targets = [];
        foreach (
            Box::query()
                ->standing()
                ->whereKeyNot($box->id)
                ->whereNotNull('address')
                // One that was silent before says nothing of the network now.
                ->whereNull('silent_since')
                ->where('on_bench', $box->on_bench)
                ->with(['network', 'services'])
                ->limit(12)
                ->get() as $other
        ) {
            $address = $other->ipv4();
            try {
                if ($address !== null) {
                    $port = $other->services->firstWhere('protocol', 'tcp')->port ?? self::LOGIN;
                    $targets[$other->id] = Target::of($other, $address, $port);
                }
            } catch (InvalidArgumentException) {
                continue;
            }
        }

        return Probed::neighbours(array_values($this->tcp->askAll($targets)));
    }

    /** The bench's router can be read from here; any other list is pasted. */
    private function onBench(Box $box): ?string
    {
        try {
            return $box->on_bench
                ? $this->read($box, 'router-list', $this->bench->text('leases', 'text'))
                : null;
        } catch (BenchAway) {
            return null;
        }
    }

    /** @param  array<int, DoorState>  $doors */
    private function page(Box $box, array $doors): ?string
    {
        $page = $box->services->first(
            fn (Service $one): bool => $one->protocol === 'tcp' && str_contains($one->purpose, 'page'),
        );
        $address = $box->ipv4();
        if ($page === null || $address === null || ! isset($doors[$page->port])) {
            return null;
        }
        $seen =
            $doors[$page->port] === DoorState::Open
                ? $this->pages->ask(Target::of($box, $address, $page->port), '/', $page->port === 443)
                : null;

        return Probed::page($doors[$page->port], $seen?->status, mb_substr($seen->text ?? '', 0, 4000));
    }

    /** @param  array<int, DoorState>  $doors */
    private function name(Box $box, array $doors): ?string
    {
        $address = $box->ipv4();
        $network = $box->network;
        $resolver =
            Ipv4::tryParse(preg_split('/[\s,]+/', trim((string) $network->dns))[0] ?? '') ??
            Ipv4::tryParse((string) $network->router);
        if ($address === null || $doors === [] || $resolver === null) {
            return null;
        }
        try {
            $target = Target::in($network, $resolver, 53, (bool) $box->on_bench);
            $answer = $this->names->ask($target, "{$box->name}.{$network->domain}", Protocol::Udp);
        } catch (InvalidArgumentException) {
            $answer = null;
        }
        $called =
            $box->on_bench || $answer?->isAnswered() === true ? [] : $this->called->of([$address], null);
        $alive = array_filter($doors, fn (DoorState $one): bool => $one !== DoorState::Silent) !== [];

        return Probed::name(
            $answer,
            $called[(string) $address] ?? null,
            (string) $box->name,
            (string) $address,
            $alive,
        );
    }

    /** @param  array<int, DoorState>  $doors */
    private function certificate(Box $box, array $doors): ?string
    {
        $page = $box->services->first(
            fn (Service $one): bool => $one->protocol === 'tcp' &&
                $one->scheme === 'https' &&
                ($doors[$one->port] ?? null) === DoorState::Open,
        );
        $address = $box->ipv4();
        if ($page === null || $address === null) {
            return null;
        }
        $seen = $this->pages->ask(Target::of($box, $address, $page->port), $page->path ?: '/', true);
        $shown = ShownCertificate::ofPem($seen->certificate ?? '');
        $before = Certificate::query()->where('service_id', $page->id)->value('sha256');

        return $shown === null
            ? null
            : Probed::certificate(
                $shown->starts,
                $shown->ends,
                $shown->names,
                $shown->holder === $shown->issuer,
                is_string($before) && $before !== $shown->sha256,
                [
                    (string) $box->name,
                    "{$box->name}.{$box->network->domain}",
                    "{$box->name}.local",
                    (string) $address,
                ],
                now()->toDateTimeImmutable(),
            );
    }

    private function filter(Box $box): ?string
    {
        $address = $box->ipv4();
        try {
            if ($address === null) {
                return null;
            }
            $target = Target::of($box, $address, 53);
            $answer = $this->names->ask($target, "{$box->name}.{$box->network->domain}", Protocol::Udp);
            $door = $this->tcp->ask($target);
        } catch (InvalidArgumentException) {
            return null;
        }

        return self::named($answer, $door);
    }

    private static function named(NameAnswer $answer, DoorState $door): string
    {
        return match (true) {
            // That it knows no such name is an answer too.
            $answer->isAnswered(), $answer->isRefused() => 'answers',
            ! $answer->isSilent() => 'failing',
            $door === DoorState::Refused => 'refused',
            default => 'silent',
        };
    }

    private function sincePower(Box $box): ?string
    {
        $power = $box->run
            ?->steps()
            ->whereIn('step', Playbooks::stepsOf('power-last'))
            ->whereNotNull('finished_at')
            ->latest('position')
            ->first();
        if ($power === null || $box->isInService()) {
            return null;
        }

        return Probed::sincePower(
            (float) now()->diffInSeconds($power->finished_at, true),
            ...self::FIRST_START,
        );
    }
}
