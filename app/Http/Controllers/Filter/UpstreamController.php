<?php

declare(strict_types=1);

namespace App\Http\Controllers\Filter;

use App\Models\Network;
use Burrow\Filter\Upstream\Upstream;
use Burrow\Filter\Upstream\Way;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Whom the filter asks further: who gets to see what, and the files that say so. */
final class UpstreamController
{
    private const FIELDS = ['way' => 'roots', 'asks' => '', 'tls_name' => '', 'local' => ''];

    public function __invoke(Request $request): View
    {
        $typed = [];
        foreach (self::FIELDS as $field => $usual) {
            $typed[$field] = mb_substr(trim($request->string($field, $usual)->value()), 0, 260);
        }
        $upstream = Upstream::of($typed, Network::home()->asLocalNetwork());

        return view('filter.upstream', [
            'typed' => $typed,
            'ways' => Way::cases(),
            'upstream' => $upstream,
            'findings' => $request->has('way') ? $upstream->findings : $upstream->findings::of(),
        ]);
    }
}
