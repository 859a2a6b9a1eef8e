<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use Burrow\Board\LinkKind;
use Burrow\Plan\PlanInput;
use Illuminate\Http\Request;

/** What was chosen on the plan sheet; anything missing or unknown becomes the usual choice. */
final readonly class Choices
{
    private const USUAL = ['role' => 'file-store', 'board' => 'flint', 'supply' => 'supply-3a', 'cable' => 'usual-1m', 'drive' => 'ssd-500'];

    private function __construct(
        private Catalogue $catalogue,
        public string $role,
        public string $board,
        public string $supply,
        public string $cable,
        public ?string $drive,
        public LinkKind $link,
    ) {
    }

    public static function from(Request $request, Catalogue $catalogue): self
    {
        $pick = function (string $name, array $known) use ($request): string {
            $typed = $request->string($name)->value();

            return isset($known[$typed]) ? $typed : (isset($known[self::USUAL[$name]]) ? self::USUAL[$name] : (string) array_key_first($known));
        };

        return new self(
            $catalogue,
            $pick('role', $catalogue->roles()),
            $pick('board', $catalogue->boards()),
            $pick('supply', $catalogue->supplies()),
            $pick('cable', $catalogue->cables()),
            $request->string('drive')->value() === 'none' ? null : $pick('drive', $catalogue->drives()),
            LinkKind::tryFrom($request->string('link')->value()) ?? LinkKind::Wired,
        );
    }

    public function input(): PlanInput
    {
        return new PlanInput(
            $this->catalogue->roles()[$this->role],
            $this->catalogue->boards()[$this->board],
            $this->catalogue->supplies()[$this->supply],
            $this->catalogue->cables()[$this->cable],
            $this->drive === null ? null : $this->catalogue->drives()[$this->drive],
            $this->link,
        );
    }

    /** @return array<string, string> as the sheet's own address carries them */
    public function toArray(): array
    {
        return ['role' => $this->role, 'board' => $this->board, 'supply' => $this->supply, 'cable' => $this->cable, 'drive' => $this->drive ?? 'none', 'link' => $this->link->value];
    }
}
