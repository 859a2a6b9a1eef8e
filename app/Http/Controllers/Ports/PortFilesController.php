<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\Models\Box;
use App\Models\Network;
use App\Ports\FilteredPorts;
use Burrow\Files\WrittenFile;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Household;
use Burrow\Ports\Write\ApplyScript;
use Burrow\Ports\Write\NftablesFile;
use Burrow\Ports\Write\ReservedPorts;
use Burrow\Ports\Write\StartPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;

/** Files that are made from the port ledger. */
final class PortFilesController
{
    public function ofBox(Household $house, Box $box, string $file): Response|RedirectResponse
    {
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null, 404);
        $ports = FilteredPorts::of($house, $held, Network::home());
        [$name, $written] = match ($file) {
            'nftables' => ["{$box->name}.nft", (new NftablesFile())->of($ports)],
            'apply' => ["{$box->name}-filter.sh", (new ApplyScript())->of($ports)],
            'reserved' => ["60-{$box->name}-ports.conf", (new ReservedPorts())->of($ports)],
            default => abort(404),
        };

        return $this->answer($name, 'text/plain', $written, (string) $box->name);
    }

    public function startPage(Household $house): Response|RedirectResponse
    {
        $pages = [];
        foreach ($house->standing() as $box) {
            foreach ($house->services($box) as $service) {
                $url = "{$service->scheme}://{$box->address}:{$service->port->number}{$service->path}";
                if ($box->address !== null && ! $service->isLoopback() && StartPage::isLink($url)) {
                    $pages[] = ['label' => ucfirst($service->purpose), 'url' => $url, 'box' => $box->name];
                }
            }
        }

        return $this->answer(
            'start.html',
            'text/html',
            (new StartPage())->of('Pages of this house', $pages),
            '',
        );
    }

    private function answer(
        string $name,
        string $type,
        WrittenFile $file,
        string $box,
    ): Response|RedirectResponse {
        if ($file->text === null) {
            $first = $file->findings->list[0] ?? null;

            return redirect()
                ->route('ports', array_filter(['box' => $box]))
                ->with(
                    'told',
                    $first === null ? 'There is nothing to write.' : "{$first->found} {$first->do}",
                );
        }

        return response($file->text, 200, [
            'Content-Type' => "{$type}; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
