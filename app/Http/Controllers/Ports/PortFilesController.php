<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\BringUp\StepFiles;
use App\Models\Box;
use App\Models\Service;
use App\Ports\FilteredPorts;
use Burrow\BringUp\Write\HttpsSite;
use Burrow\Files\WrittenFile;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Household;
use Burrow\Household\Service as HeldService;
use Burrow\Ports\PlainPages;
use Burrow\Ports\Write\ApplyScript;
use Burrow\Ports\Write\NftablesFile;
use Burrow\Ports\Write\ReservedPorts;
use Burrow\Ports\Write\StartPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Files that are made from the port ledger. */
final class PortFilesController
{
    public function ofBox(Household $house, Box $box, string $file): Response|RedirectResponse
    {
        $held = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null, 404);
        $ports = FilteredPorts::of($house, $held, $box->network);
        [$name, $written] = match ($file) {
            'nftables' => ["{$box->name}.nft", (new NftablesFile())->of($ports)],
            'apply' => ["{$box->name}-filter.sh", (new ApplyScript())->of($ports)],
            'reserved' => ["60-{$box->name}-ports.conf", (new ReservedPorts())->of($ports)],
            default => abort(404),
        };

        return $this->answer($name, 'text/plain', $written, (string) $box->name);
    }

    /** One of the files that the steps of the box's jobs write on it. */
    public function step(Request $request, StepFiles $files, Box $box): Response
    {
        $file = $files->of($box)[$request->string('path')->value()] ?? abort(404);

        return $this->file(basename($file->path), 'text/plain', $file->text);
    }

    /** A site of nginx before a page, with what is to be done by hand around it. */
    public function site(Household $house, Service $service): Response
    {
        $box = collect($house->boxes())->first(fn (HeldBox $one): bool => $one->id === $service->box_id);
        $label = array_search(
            $service->id,
            array_map(
                fn (HeldService $one): int => $one->id,
                $box === null ? [] : PlainPages::of($house, $box),
            ),
            true,
        );
        abort_if($box === null || $label === false, 404);
        $site = new HttpsSite($label, $service->box->network->asLocalNetwork()->domain, $service->port);

        return $this->file("{$label}.conf", 'text/plain', $site->byHand($box->address));
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

        return $this->file($name, $type, $file->text);
    }

    private function file(string $name, string $type, string $text): Response
    {
        return response($text, 200, [
            'Content-Type' => "{$type}; charset=utf-8",
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }
}
