<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\CloudAccount;
use Burrow\Card\Read\CloudAccounts;

/** What a card was looked over for, so that an all-clear says no more than was checked. */
final class AllClear
{
    /**
     * @return non-empty-list<string> sentences; what is not known is one of them
     */
    public static function words(CardFolder $folder, CardContext $context): array
    {
        $own = $context->image?->ownText?->file;
        $known = array_values(
            array_filter(
                array_map(strval(...), array_keys($folder->files)),
                fn (string $name): bool => in_array($name, [...CardFolder::KNOWN, $own], true),
            ),
        );
        $user = $folder->has('user-data')
            ? CardDocument::read('user-data', $folder->text('user-data'))->data
            : null;

        return [
            $known === []
                ? 'No file that the first start looks for is here.'
                : 'Looked at: '.implode(', ', $known).'.',
            self::login($folder, $user),
            self::remoteLogin($folder, $user),
            self::network($folder),
            $context->network === null && $context->image === null
                ? 'Nothing was compared with an image or a network: none was named.'
                : 'Compared with '.
                    implode(
                        ' and ',
                        array_filter([
                            $context->image === null ? '' : 'what the image understands',
                            $context->network === null ? '' : 'the network and the other boxes',
                        ]),
                    ).
                    '.',
        ];
    }

    /** @param  ?array<mixed>  $user  the settings in user-data */
    private static function login(CardFolder $folder, ?array $user): string
    {
        $accounts = $user === null ? [] : CloudAccounts::of($user);
        $can = array_filter(
            $accounts,
            fn (CloudAccount $account): bool => $account->keys !== [] ||
                $account->imports ||
                $account->hasPassword(),
        );

        return match (true) {
            $can !== [] => 'An account of user-data can log in.',
            $folder->has('userconf.txt') => 'The account of userconf.txt can log in.',
            default => 'No file here makes an account: whether somebody can log in is up to the image, and was not looked at.',
        };
    }

    /** @param  ?array<mixed>  $user */
    private static function remoteLogin(CardFolder $folder, ?array $user): string
    {
        $commands = (string) json_encode(
            [$user['runcmd'] ?? [], $user['bootcmd'] ?? []],
            JSON_PARTIAL_OUTPUT_ON_ERROR,
        );

        return $folder->has('ssh') ||
            preg_match('/\bsshd?\b/', $commands) === 1 ||
            in_array('openssh-server', (array) ($user['packages'] ?? []), true)
            ? 'Remote login is switched on.'
            : 'No file here switches remote login on: whether it is on is up to the image, and was not looked at.';
    }

    private static function network(CardFolder $folder): string
    {
        return match (true) {
            $folder->has('network-config') => 'network-config sets up a link that gets an address.',
            $folder->has('wpa_supplicant.conf') => 'wpa_supplicant.conf names a wireless network; whether it is in reach was not looked at.',
            default => 'No file here sets up the network: the image asks the router for an address, if it does so by itself.',
        };
    }
}
