<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Box;
use App\Models\Certificate;
use App\Models\Service;
use App\Probe\PageProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Burrow\Ports\ShownCertificate;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use InvalidArgumentException;
use Throwable;

/** Asks every page that speaks TLS for its certificate; one that does not answer keeps what it showed before. */
final class LookAtCertificates implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $uniqueFor = 3600;

    public int $tries = 1;

    public function handle(TcpProbe $tcp, PageProbe $pages): void
    {
        foreach (
            Box::query()
                ->standing()
                ->whereNotNull('address')
                ->with(['network', 'services'])
                ->get() as $box
        ) {
            try {
                self::of($box, $tcp, $pages);
            } catch (InvalidArgumentException) {
                // It lies outside of the network now, and nobody asks it.
            } catch (Throwable $problem) {
                report($problem);
            }
        }
    }

    /**
     * Those of one box.
     *
     * @throws InvalidArgumentException when the network in the database does not cover its address
     */
    public static function of(Box $box, TcpProbe $tcp, PageProbe $pages): void
    {
        $address = Ipv4::tryParse((string) $box->address);
        if ($address === null) {
            return;
        }
        $speakTls = $box->services->filter(
            fn (Service $one): bool => $one->scheme === 'https' &&
                $one->protocol === 'tcp' &&
                ! $one->isForItself(),
        );
        foreach ($speakTls as $service) {
            $target = Target::of($box, $address, (int) $service->port);
            // On loopback a port may answer in the name of a box that is not there; the door knows.
            $seen =
                $tcp->ask($target) === DoorState::Open
                    ? $pages->ask($target, $service->path ?: '/', true)
                    : null;
            $shown = ShownCertificate::ofPem($seen->certificate ?? '');
            $shown === null || Certificate::keep($service->setRelation('box', $box), $shown);
        }
    }
}
