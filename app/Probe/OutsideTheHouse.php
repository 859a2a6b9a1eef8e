<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Net\Ipv4;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use InvalidArgumentException;

/** An address that no network of the household covers: nobody asks it, and whoever wanted to is told. */
final class OutsideTheHouse extends InvalidArgumentException
{
    public function __construct(public readonly Ipv4 $address)
    {
        parent::__construct("{$address} is not in the household's network; nothing else is ever asked.");
    }

    /** Where no page says it in its own place, it is said on the page that was left. */
    public function render(Request $request): RedirectResponse|Response
    {
        return $request->isMethod('GET')
            ? response($this->getMessage(), 409, ['Content-Type' => 'text/plain; charset=utf-8'])
            : back(fallback: '/')->with('told', $this->getMessage());
    }

    /** It is no fault of the program. */
    public function report(): bool
    {
        return true;
    }
}
