<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Box;
use App\Probe\NotFetched;
use App\Probe\ReportProbe;
use App\Probe\Target;
use Burrow\Net\Ipv4;
use InvalidArgumentException;

/** Fetches a box's report by remote login, and takes it in. */
final readonly class FetchReport
{
    public function __construct(private ReportProbe $probe, private TakeReport $take)
    {
    }

    /** @throws NotFetched with what stands in the way, in words */
    public function fetch(Box $box): Taken
    {
        $address = Ipv4::tryParse((string) $box->address);
        if ($address === null) {
            throw new NotFetched('It has no address.');
        }
        if (! is_string($box->host_key) || $box->host_key === '') {
            throw new NotFetched(
                'Its host key is not known yet, so nobody could tell that it is the right box.',
            );
        }
        try {
            $target = Target::of($box, $address, 22);
        } catch (InvalidArgumentException $outside) {
            throw new NotFetched($outside->getMessage());
        }
        $text = $this->probe->fetch(
            $target,
            (string) ($box->user ?: 'root'),
            ReportKey::private(),
            $box->host_key,
        );
        $taken = $this->take->take($box, $text, 'pulled');

        return $taken === Taken::None
            ? throw new NotFetched('What it sent is no report: its key is not tied to the script.')
            : $taken;
    }
}
