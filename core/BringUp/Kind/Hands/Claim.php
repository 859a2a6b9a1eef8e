<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\AskedKind;
use Burrow\BringUp\Told\AskedValue;
use Burrow\Diagnosis\Look\Probed;
use Burrow\Household\DoorState;

/** A fresh page belongs to whoever visits it first, or to whoever knows its default login: it is claimed at once. */
final class Claim extends Told
{
    public const OWNER = 'owner';

    public const SECOND = 'second';

    public const RECOVERY = 'recovery';

    public function name(): string
    {
        return 'claim';
    }

    public function place(): StepPlace
    {
        return StepPlace::Page;
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Claim;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            StepField::line(
                self::OWNER,
                'Account that owns it now',
                'warden',
                'A role, as it stands on the page.',
                '{{user}}',
            ),
            StepField::choice(self::SECOND, 'How it is guarded', [
                'changed' => 'A password of its own, not the one it came with',
                'second-factor' => 'A password of its own and a second factor',
            ]),
            StepField::line(
                self::RECOVERY,
                'Where the recovery codes lie, if there is a second factor',
                'paper in the fuse box',
            ),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $owner = $at->given(self::OWNER);
        $guard = $at->given(self::SECOND);
        $codes = $at->given(self::RECOVERY);
        if (AskedKind::Text->normal($owner) === null) {
            $asked = new AskedValue(self::OWNER, 'The owner', AskedKind::Text, '');

            return Outcome::notYet(BringUpFindings::valueNotFit($asked, $owner, self::OWNER));
        }
        if (! in_array($guard, ['changed', 'second-factor'], true)) {
            return Outcome::notYet(BringUpFindings::choiceNeeded(self::SECOND));
        }
        $wrong = $guard === 'second-factor' ? ShownOnce::wrong($codes, self::RECOVERY) : null;
        if ($wrong !== null) {
            return Outcome::notYet($codes === '' ? BringUpFindings::recoveryWhere(self::RECOVERY) : $wrong);
        }
        $wizard = self::asksForOwner($at);
        if ($wizard === true) {
            return Outcome::notYet(BringUpFindings::stillUnclaimed());
        }
        $kept = [
            'access' => $guard,
            'owner' => $owner,
            'claimed by' => $wizard === null ? 'your word' : 'your word, and its page asks for no owner',
        ];

        return Outcome::over(
            $guard === 'changed' ? "claimed by {$owner}" : "claimed by {$owner}, with a second factor",
            learned: new Learned(
                answers: [
                    $at->step->more->job => $guard === 'changed' ? $kept : [...$kept, 'recovery codes' => $codes],
                ],
            ),
        );
    }

    /** Whether its page asks the first visitor to become its owner; null where it could not be asked. */
    private static function asksForOwner(Judging $at): ?bool
    {
        $port = (int) $at->filled('{{page_port}}');
        if ($at->facts->address === null || $port === 0) {
            return null;
        }
        $path = $at->filled('{{page_path}}');
        $page = $at->network->page(
            $at->facts->address,
            $port,
            str_starts_with($path, '/') ? $path : '/',
            false,
        );

        return $page === null
            ? null
            : Probed::page(DoorState::Open, $page->status, "{$page->title} {$page->text}") === 'wizard';
    }
}
