<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\WanKind;

/** Ways of getting in from outside, compared for one household (common practice). */
final class Schools
{
    /**
     * @param  ?WanKind  $wan  null when nobody said
     * @param  bool  $everybody  people without a key are to get in, to a page of their own
     * @return list<array{id: string, label: string, fits: bool, best: bool, because: string}> the best first
     */
    public static function compare(?WanKind $wan, bool $everybody): array
    {
        $lets = $wan === null || $wan->lets();
        $name = match ($wan) {
            WanKind::Fixed => 'its address stays, so no name has to be kept up to date',
            WanKind::Changing => 'a name has to be kept up to date, because the address changes',
            default => 'whether the address stays is to be found out',
        };
        $no = match ($wan) {
            WanKind::CarrierNat => 'the provider shares the address, so no forwarded port leads in',
            WanKind::BehindRouter => 'the other router would have to forward it, too',
            default => '',
        };
        $schools = [
            [
                'id' => 'tunnel',
                'label' => 'a tunnel endpoint at home, one UDP port forwarded, a key a device',
                'fits' => $lets || $wan === WanKind::BehindRouter,
                'because' => $no === '' ? "one port, silent to strangers; {$name}" : $no,
            ],
            [
                'id' => 'relay',
                'label' => 'both ends meet at a relay, no port is open',
                'fits' => true,
                'because' => $lets
                    ? 'works everywhere, but whoever runs the relay sees who meets whom, and it may be slow'
                    : "works here, since {$no}; whoever runs the relay sees who meets whom",
            ],
            [
                'id' => 'cloud',
                'label' => 'the maker’s own relay of a service',
                'fits' => true,
                'because' => 'nothing to set up; the maker sees what goes through, and it ends when the maker ends it',
            ],
            [
                'id' => 'forward',
                'label' => 'the port of the service itself, forwarded',
                'fits' => $lets,
                'because' => $lets
                    ? ($everybody
                        ? 'only for a page that anybody may see; one login, or one fault of its program, stands before it'
                        : 'anybody in the world may knock, and one login, or one fault of its program, stands before it')
                    : $no,
            ],
        ];
        $best = match (true) {
            $everybody && $lets => 'forward',
            $lets, $wan === WanKind::BehindRouter => 'tunnel',
            default => 'relay',
        };
        $told = array_map(fn (array $one): array => [...$one, 'best' => $one['id'] === $best], $schools);
        usort($told, fn (array $a, array $b): int => [$b['best'], $b['fits']] <=> [$a['best'], $a['fits']]);

        return $told;
    }

    private function __construct()
    {
    }
}
