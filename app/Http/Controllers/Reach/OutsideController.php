<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Catalogue\Catalogue;
use App\Models\Network;
use Burrow\Household\WanKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Severity;
use Burrow\Reach\Tunnel\TunnelAnswer;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** How the house is seen from outside, and what its tunnel is: checked as the terminal would. */
final class OutsideController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $network = Network::home();
        $said = fn (string $field): string => trim($request->string($field)->value());
        $name = $said('outside_name');
        $described = [
            'endpoint' => array_filter([
                'outside' => $name !== '' ? $name : (string) $network->wan,
                'port' => (int) $said('tunnel_port'),
                'public_key' => $said('endpoint_key'),
            ]),
            'wan' => array_filter(['kind' => $said('wan_kind'), 'address' => (string) $network->wan]),
            'house' => [(string) $network->prefix],
            'net' => $said('tunnel_net'),
            'names' => array_values(array_filter([(string) $network->dns])),
        ];
        $findings = TunnelAnswer::to(
            (string) json_encode(
                array_filter($described),
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE,
            ),
            Catalogue::schema('tunnel'),
            'typed',
        )->findings;
        // That the world cannot come in is true of the house, and no mistake in the form.
        $stops = array_filter(
            $findings->list,
            fn (Finding $one): bool => $one->severity === Severity::Stop && $one->code !== 'reach.carrier_nat',
        );
        $back = redirect()->to(route('reach').'#outside');
        if ($stops !== []) {
            return $back
                ->withInput(
                    $request->only(['outside_name', 'wan_kind', 'tunnel_net', 'tunnel_port', 'endpoint_key']),
                )
                ->with(
                    'outside_says',
                    array_map(fn (Finding $one): string => "{$one->found} {$one->do}", array_values($stops)),
                );
        }
        $network->update([
            'outside_name' => $name ?: null,
            'wan_kind' => WanKind::tryFrom($said('wan_kind'))?->value,
            'tunnel' => array_filter([
                'net' => $said('tunnel_net'),
                'port' => $said('tunnel_port'),
                'public_key' => $said('endpoint_key'),
            ]),
        ]);

        return $back->with('told', 'Kept.');
    }
}
