<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardFindings;
use Burrow\Card\LoginCheck;
use Burrow\Card\LoginFindings;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\CloudAccount;
use Burrow\Card\Read\CloudAccounts;
use Burrow\Card\Read\CloudPassword;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;

/**
 * Whether somebody can log in over the network after a cloud-config was read, and what its keys and passwords are
 * worth.
 */
final readonly class LoginsJudge
{
    /** Hashes of one card that are tried with well-known passwords. */
    private const HASHES_TRIED = 4;

    public function __construct(private CardDocument $document)
    {
    }

    /** @param  array<mixed>  $data */
    public function judge(array $data): Findings
    {
        $findings = Findings::of();
        $byKey = $byPassword = false;
        $all = CloudAccounts::of($data);
        $accounts = array_slice($all, 0, TextBudget::ITEMS);
        $tried = 0;
        if (array_filter($accounts, fn (CloudAccount $account): bool => $account->standard) === []) {
            $findings = $this->forNobody($data);
        }
        foreach ($accounts as $account) {
            $byKey = $byKey || $account->imports;
            $byPassword = $byPassword || $account->hasPassword();
            foreach (array_slice($account->keys, 0, TextBudget::ITEMS) as [$key, $path]) {
                $decodes = is_string($key) && ! LoginCheck::keyFindings($key)->blocks();
                $byKey = $byKey || $decodes;
                $findings = $decodes ? $findings : $findings->and([$this->badKey($this->document->place($path))]);
            }
            foreach ($account->passwords as $password) {
                $findings = $findings->and(
                    $this->password(
                        $password,
                        $this->document->place($password->path),
                        $tried++ < self::HASHES_TRIED,
                    ),
                );
            }
        }
        if (count($all) > count($accounts)) {
            $findings = $findings->and([CardFindings::onlyFirst('accounts', Place::file('user-data'))]);
        }
        $place = Place::file('user-data', isset($data['users']) ? $this->document->place(['users'])->line : 1);

        return match (true) {
            $byKey || ($byPassword && ! $this->refusesPasswords($data)) => $findings,
            $byPassword => $findings->and([
                LoginFindings::passwordsRefused($this->document->place(['ssh_pwauth'])),
            ]),
            default => $findings->and([LoginFindings::nobodyCanLogIn($place)]),
        };
    }

    /**
     * What stands at the margin goes to the image's own account, and `users` leaves that out here.
     *
     * @param  array<mixed>  $data
     */
    private function forNobody(array $data): Findings
    {
        $findings = Findings::of();
        foreach (array_intersect(['ssh_authorized_keys', 'password'], array_keys($data)) as $key) {
            $findings = $findings->and([LoginFindings::loginForNobody($key, $this->document->place([$key]))]);
        }

        return is_string($data['password'] ?? null)
            ? $findings->and(
                $this->password(
                    new CloudPassword($data['password'], str_starts_with($data['password'], '$'), ['password']),
                    $this->document->place(['password']),
                    true,
                ),
            )
            : $findings;
    }

    /** @param  array<mixed>  $data */
    private function refusesPasswords(array $data): bool
    {
        $says = $data['ssh_pwauth'] ?? null;

        return $says === false ||
            (is_string($says) && in_array(strtolower($says), ['off', 'no', 'false', '0'], true));
    }

    private function badKey(Place $place): Finding
    {
        return LoginFindings::keyInUserDataDoesNotDecode($place);
    }

    private function password(CloudPassword $password, Place $place, bool $try): Findings
    {
        if ($password->hashed || ! is_string($password->value)) {
            return $password->hashed ? LoginCheck::hashFindings($password->value, $place, $try) : Findings::of();
        }

        return Findings::of(
            ...array_map(
                fn (Finding $finding): Finding => $finding->at($place),
                LoginCheck::passwordFindings($password->value)->list,
            ),
        )->and([LoginFindings::passwordInClear($place)]);
    }
}
