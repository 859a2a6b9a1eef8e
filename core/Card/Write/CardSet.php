<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Card\CardFolder;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * Everything that the chosen schools make of one set of settings: files for the boot partition, and sheets to type
 * from.
 */
final readonly class CardSet
{
    /**
     * @param  list<CardFile>  $files
     * @param  array<string, list<TypedStep>>  $sheets  what it is for => what to type
     */
    private function __construct(public array $files, public array $sheets, public Findings $findings)
    {
    }

    public static function of(FirstBoot $settings, CardOrder $order): self
    {
        $files = $sheets = [];
        $findings = Findings::of(...self::unread($order), ...self::account($settings, $order));
        if ($order->wants(CardSchool::Declarative)) {
            [$userData, $metaData, $network] = (new DeclarativeWriter())->write($settings);
            $merged = $order->userData === '' ? null : UserDataMerge::of($order->userData, $userData);
            array_push($files, $merged->file ?? $userData, $metaData, $network);
            $findings = $findings
                ->and($merged->findings ?? [])
                ->and((new NetworkConfigWriter())->findings($settings));
        }
        if ($order->wants(CardSchool::BootFiles)) {
            array_push($files, ...(new BootFilesWriter())->write($settings));
            $findings = $findings->and((new BootFilesWriter())->findings($settings));
        }
        $usb = $order->wants(CardSchool::UsbCable);
        $kernel = $order->wants(CardSchool::KernelLine);
        if ($kernel || $usb) {
            $files[] = (new KernelLineWriter())->write(
                $order->kernelLine,
                $settings,
                $kernel && $order->containers,
                $usb,
            );
            if (trim($order->kernelLine) === '') {
                $findings = $findings->and([WriteFindings::kernelLineUnknown(Place::field('kernel_line'))]);
            }
        }
        if ($order->wants(CardSchool::Firmware) || $usb) {
            $files[] = (new FirmwareWriter())->write(
                $order->firmware,
                $order->wants(CardSchool::Firmware) && $order->sixtyFour,
                $usb,
            );
        }
        if ($order->wants(CardSchool::Marker) && $order->marker !== '') {
            $files[] = new CardFile($order->marker, []);
        }
        if ($order->wants(CardSchool::OwnText) && $order->image->ownText !== null) {
            $files[] = (new OwnTextWriter())->write($order->image->ownText, $settings);
            $findings = $findings->and((new OwnTextWriter())->findings($settings));
        }
        foreach (
            [
                [CardSchool::Dialog, TypedSheet::dialog(...)],
                [CardSchool::Menu, TypedSheet::menu(...)],
                [CardSchool::Screen, TypedSheet::screen(...)],
            ] as [$school, $sheet]
        ) {
            if ($order->wants($school)) {
                $sheets[$school->label()] = $sheet($settings);
            }
        }

        return new self(
            array_values(
                array_filter(
                    $files,
                    fn (CardFile $file): bool => $file->name !== 'config.txt' || $file->lines !== [],
                ),
            ),
            $sheets,
            $findings,
        );
    }

    public function folder(): CardFolder
    {
        return new CardFolder(
            array_combine(
                array_map(fn (CardFile $file): string => $file->name, $this->files),
                array_map(fn (CardFile $file): string => $file->text(), $this->files),
            ),
        );
    }

    /**
     * Which school is recommended for an image, and why.
     *
     * @param  bool  $byKey  the login is by a key, without a password
     * @return array{CardSchool, string}
     */
    public static function recommended(ImageKind $image, bool $byKey): array
    {
        $best = $image->schools[0];
        if ($best === CardSchool::BootFiles && $byKey && $image->understands(CardSchool::Dialog)) {
            return [CardSchool::Dialog, 'You log in by key, and files on the boot partition know passwords only.'];
        }

        return [
            $best,
            match ($best) {
                CardSchool::Declarative => 'It says everything at once, key and packages too, and can be looked over before it costs an evening.',
                CardSchool::BootFiles => 'This image reads them, and nothing that says more.',
                CardSchool::OwnText, CardSchool::Marker => 'A ready-made image knows its own ways best.',
                default => 'It is the first one that this image understands.',
            },
        ];
    }

    /** @return list<Finding> */
    private static function unread(CardOrder $order): array
    {
        $unread = array_filter(
            $order->schools,
            fn (CardSchool $school): bool => ! $order->image->understands($school),
        );

        return array_map(
            fn (CardSchool $school): Finding => WriteFindings::schoolNotRead(
                $order,
                $school,
                Place::field('schools'),
            ),
            array_values($unread),
        );
    }

    /** @return list<Finding> */
    private static function account(FirstBoot $settings, CardOrder $order): array
    {
        $accounts = array_filter(
            $order->schools,
            fn (CardSchool $school): bool => $school->makesAccount() &&
                ($school !== CardSchool::BootFiles || $settings->passwordHash !== null),
        );
        $brought = $order->image->readyMade;

        return $accounts === [] && ! $brought ? [WriteFindings::noAccount(Place::field('schools'))] : [];
    }
}
