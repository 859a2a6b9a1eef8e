<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/**
 * An address that a card gives its box, held against its own gateway and against the household's network where that is
 * known.
 */
final readonly class AddressJudge
{
    public function __construct(private CardContext $context)
    {
    }

    /** @param  ?Place  $atGateway  where the gateway stands, when that is another line than the address's */
    public function judge(
        Ipv4 $address,
        ?Ipv4 $gateway,
        ?Prefix $prefix,
        Place $place,
        ?Place $atGateway = null,
    ): Findings {
        $ends =
            $prefix === null || $prefix->length > 30
                ? []
                : [
                    $prefix->network->number => 'the network itself',
                    $prefix->broadcast()->number => 'everybody at once',
                ];
        if (isset($ends[$address->number])) {
            return Findings::of(
                NetworkRuleFindings::addressOfNetwork($address, $ends[$address->number], $prefix, $place),
            );
        }
        if ($prefix !== null && $gateway !== null && ! $prefix->contains($gateway)) {
            return Findings::of(NetworkRuleFindings::gatewayOutside($gateway, $prefix, $atGateway, $place));
        }
        $against = $this->context->network
            ?->against($address, 'Choose one outside of what the router hands out.')
            ?->at($place);
        if ($against !== null) {
            return Findings::of($against);
        }
        $owner = $this->context->ownerOf($address);

        return $owner === null
            ? Findings::of()
            : Findings::of(AddressFindings::taken($address, $owner, 'Choose another.', $place));
    }
}
