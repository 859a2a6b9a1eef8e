<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\JobPort;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Net\Protocol;

/**
 * What the box has and has not, as far as it is known: causes and checks that need something it has not are left out,
 * those that need something unknown count half.
 */
final readonly class Circumstances
{
    private const SHARES = [139, 445, 2049];

    /** @param  array<string, bool>  $has  wired, wifi, card, drive, peripheral, page, share, names, tunnel */
    private function __construct(private array $has)
    {
    }

    /**
     * @param  list<Job>  $jobs  none: nothing is known of them
     * @param  ?LinkKind  $link  null: not known
     * @param  ?bool  $card  it starts from a card, from a drive, or not known
     */
    public static function of(array $jobs = [], ?LinkKind $link = null, ?bool $card = null): self
    {
        $any = fn (callable $test): bool => array_filter($jobs, $test) !== [];
        $ports = array_merge(...array_map(fn (Job $job): array => $job->ports, $jobs));
        $port = fn (callable $test): bool => array_filter($ports, $test) !== [];
        $has =
            $jobs === []
                ? []
                : [
                    'drive' => $any(fn (Job $job): bool => $job->needsDisk),
                    'peripheral' => $any(fn (Job $job): bool => $job->needsDisk || $job->peripherals !== []),
                    'names' => $any(fn (Job $job): bool => $job->servesAll === 'names'),
                    'page' => $any(fn (Job $job): bool => $job->pagePort() !== null),
                    'share' => $port(fn (JobPort $use): bool => in_array($use->port->number, self::SHARES, true)),
                    'tunnel' => $port(
                        fn (JobPort $use): bool => $use->mayFaceWorld && $use->protocol === Protocol::Udp,
                    ),
                ];

        return new self([
            ...$has,
            ...$link === null
                ? []
                : [
                    'wired' => $link === LinkKind::Wired || $link === LinkKind::UsbWired,
                    'wifi' => $link === LinkKind::Wireless,
                ],
            ...$card === null ? [] : ['card' => $card],
        ]);
    }

    /** 1 when the box has it or nothing is needed, 0 when it has not, a half when that is not known. */
    public function weight(string $needs): float
    {
        return $needs === ''
            ? 1.0
            : match ($this->has[$needs] ?? null) {
                true => 1.0,
                false => 0.0,
                null => 0.5,
            };
    }
}
