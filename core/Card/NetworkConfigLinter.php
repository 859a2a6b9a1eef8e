<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** The checks of `network-config` version 2: is it read at all, is there a link, does it get an address. */
final class NetworkConfigLinter
{
    public function lint(string $text): Findings
    {
        $document = CardDocument::read('network-config', $text);
        if ($document->data === null) {
            return $document->findings;
        }
        $wrapped = is_array($document->data['network'] ?? null);
        $data = $wrapped ? $document->data['network'] : $document->data;
        if (($data['version'] ?? null) !== 2) {
            return Findings::of(Finding::stop('card.network_version', 'network-config does not say “version: 2”.', 'The links in it are not set up, and the box stays silent.', 'Add that line at the top.', Place::file('network-config', 1)));
        }
        $links = [...(is_array($data['ethernets'] ?? null) ? $data['ethernets'] : []), ...(is_array($data['wifis'] ?? null) ? $data['wifis'] : [])];
        if ($links === []) {
            return Findings::of(Finding::stop('card.no_links', 'network-config names no link.', 'The box stays silent.', 'Add an entry under “ethernets:”.', Place::file('network-config', 1)));
        }
        foreach ($links as $name => $link) {
            if (! is_array($link) || (($link['dhcp4'] ?? false) !== true && ($link['addresses'] ?? []) === [])) {
                return Findings::of(Finding::stop('card.link_without_address', "The link “{$name}” gets no address.", 'It asks the router for none and has none of its own.', 'Add “dhcp4: true”.', $document->place($wrapped ? ['network', 'ethernets', $name] : ['ethernets', $name])));
            }
        }

        return Findings::of();
    }
}
