<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\AskedNetwork;
use App\Addresses\RouterPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Where things stand on the router's page, in the household's words. */
final class RouterPageController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $notes = array_map(
            fn (string $field): string => $request->string($field)->value(),
            array_combine(array_keys(RouterPage::FIELDS), array_keys(RouterPage::FIELDS)),
        );
        $network = AskedNetwork::of($request);
        $network->update([
            'router_page' => array_filter($notes, fn (string $note): bool => $note !== '') ?: null,
        ]);

        return redirect()
            ->route('addresses', AskedNetwork::shown($network))
            ->with('told', 'Kept. It stands beside every step on the router.');
    }
}
