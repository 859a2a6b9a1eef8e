<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Models\WayIn;
use App\Reach\HouseTunnel;
use Burrow\Intake\Intake;
use Burrow\Intake\Tunnel\TunnelInterface;
use Burrow\Reach\Tunnel\PlannedDevice;
use Burrow\Reach\Tunnel\TunnelKey;
use Illuminate\Contracts\View\View;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Keys of devices: given, seen coming in, taken back. The private half of a key is made on the device and stays
 * there.
 */
final class WayInController
{
    public function store(Request $request): View|RedirectResponse
    {
        $network = Network::home();
        $device = trim($request->string('device')->value());
        $key = trim($request->string('device_key')->value());
        $plan = HouseTunnel::of($network);
        $address = HouseTunnel::nextAddress($network, $plan->net);
        $wrong = match (true) {
            preg_match('/^[\p{L}\p{N}][\p{L}\p{N} ._\'’-]{0,39}$/Du', $device) !== 1 => 'What is the device called? Up to 40 letters, digits and blanks: the phone of the greenhouse.',
            ! TunnelKey::isOne($key) => 'The public key is 44 letters and ends in “=”; let one be made here, or copy what wg pubkey prints.',
            $plan->publicKey === $key => 'That is the endpoint’s own key.',
            WayIn::query()->where('network_id', $network->id)->where('public_key', $key)->exists() => 'Another device has this key. A key is one device.',
            $address === null => 'The network inside the tunnel is full.',
            default => null,
        };
        if ($wrong === null) {
            try {
                WayIn::query()->create([
                    'network_id' => $network->id,
                    'device' => $device,
                    'holder' => trim($request->string('holder')->value()) ?: null,
                    'kind' => 'tunnel',
                    'public_key' => $key,
                    'address' => $address,
                    'given_on' => now(),
                ]);
            } catch (UniqueConstraintViolationException) {
                $wrong = "There is a key for {$device} already; take that back first, or call this one otherwise.";
            }
        }
        if ($wrong === null) {
            JournalEntry::write($network, 'key', "{$device} was given a key for the tunnel.");
        }
        if (! $request->hasHeader('HX-Request')) {
            return redirect()
                ->to(route('reach').'#device-form')
                ->withInput($wrong === null ? [] : $request->only(['device', 'holder', 'device_key']))
                ->with('told', $wrong ?? "{$device} is in; its profile can be fetched below.");
        }

        return view('reach.given', [
            'wrong' => $wrong,
            'device' => $device,
            'profile' => $wrong === null && $address !== null
                    ? $plan->profile(new PlannedDevice($device, $key, $address))
                    : null,
        ]);
    }

    /** What the endpoint shows: whose key came through, and when. */
    public function seen(Request $request): RedirectResponse
    {
        $reading = Intake::standard()->read('tunnel', $request->string('pasted')->value());
        $seen = 0;
        foreach ($reading->all(TunnelInterface::class) as $end) {
            foreach ($end->peers as $peer) {
                if ($peer->handshake === null) {
                    continue;
                }
                // The dump has the moment, the list for people how long ago it was.
                $at =
                    $peer->handshake > 1_000_000_000
                        ? now()->setTimestamp($peer->handshake)
                        : now()->subSeconds($peer->handshake);
                $seen += WayIn::query()
                    ->where('network_id', Network::home()->id)
                    ->where('public_key', $peer->publicKey)
                    ->whereNull('taken_back_at')
                    ->update(['last_came_at' => min($at, now())]);
            }
        }

        return redirect()
            ->to(route('reach').'#who')
            ->with(
                'told',
                match (true) {
                    $reading->findings->blocks() => $reading->findings->list[0]->found ?? 'Nothing was read.',
                    $seen === 0 => 'None of the keys in it is one that was given here.',
                    default => $seen === 1 ? 'One device was seen.' : "{$seen} devices were seen.",
                },
            );
    }

    /** What to do when a device is gone, in order. */
    public function lost(WayIn $way): View
    {
        abort_unless(auth()->user()?->isKeeper() === true, 403);

        return view('reach.lost', [
            'way' => $way->load('service.box'),
            'holds' => Service::query()
                ->with('box')
                ->whereNotNull('clients')
                ->get()
                ->filter(
                    fn (Service $one): bool => array_filter(
                        $one->clients ?? [],
                        fn (array $held): bool => is_string($held['client']) &&
                            mb_strtolower($held['client']) === mb_strtolower((string) $way->device),
                    ) !== [],
                ),
        ]);
    }

    public function takeBack(WayIn $way): RedirectResponse
    {
        $way->update(['taken_back_at' => now()]);
        JournalEntry::write(
            Network::home(),
            'key',
            "The key of {$way->device} was taken back in the record.",
        );
        if ($way->kind !== 'tunnel') {
            return redirect()
                ->to(route('reach').'#who')
                ->with(
                    'told',
                    "The key of {$way->device} is out of the record. Where it was made it counts until it is taken back there.",
                );
        }

        return redirect()
            ->route('reach')
            ->with(
                'told',
                "The key of {$way->device} is out of the record. It opens the house until the endpoint forgets it, too: load the new file there.",
            );
    }

    /** The endpoint's file with the keys that count now. */
    public function endpoint(): Response
    {
        abort_unless(auth()->user()?->isKeeper() === true, 403);

        return response(HouseTunnel::of(Network::home())->endpointFile(), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="wg0.conf"',
        ]);
    }

    public function profile(WayIn $way): Response|RedirectResponse
    {
        abort_unless(auth()->user()?->isKeeper() === true, 403);
        $plan = HouseTunnel::of(Network::home());
        foreach ($plan->devices as $device) {
            $profile = $device->address === $way->address ? $plan->profile($device) : null;
            if ($profile !== null) {
                return response($profile, 200, [
                    'Content-Type' => 'text/plain; charset=utf-8',
                    'Content-Disposition' => 'attachment; filename="house.conf"',
                ]);
            }
        }

        return redirect()
            ->route('reach')
            ->with(
                'told',
                'The endpoint has no public key in the record yet; type it under “The house from outside”.',
            );
    }
}
