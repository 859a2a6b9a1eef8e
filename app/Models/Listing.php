<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Intake\Containers\Container;
use Burrow\Intake\Listening\Listener;
use Burrow\Intake\Reading;
use Illuminate\Database\Eloquent\Model;

/** What a box told last of all that listens on it: sockets as rows of protocol, address, port and program. */
class Listing extends Model
{
    /** More sockets of one box are not kept. */
    private const MOST = 2000;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'datetime'];

    /** Keeps what was read, in place of what was kept; null when nothing in it listens. */
    public static function keep(Box $box, Reading $reading): ?self
    {
        $heard = [];
        foreach ($reading->all(Listener::class) as $one) {
            $heard[] = [$one->protocol, $one->address, $one->port, $one->process];
        }
        foreach ($reading->all(Container::class) as $container) {
            foreach ($container->state === 'running' ? $container->ports : [] as $port) {
                if ($port->outsidePort !== null) {
                    $heard[] = [
                        $port->protocol->value,
                        $port->outsideAddress ?? '0.0.0.0',
                        $port->outsidePort,
                        $container->name,
                    ];
                }
            }
        }

        return $heard === []
            ? null
            : self::query()->updateOrCreate(
                ['box_id' => $box->id],
                [
                    'tool' => $reading->kind,
                    'heard' => json_encode(
                        array_slice($heard, 0, self::MOST),
                        JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                    ),
                    'taken_at' => now(),
                ],
            );
    }
}
