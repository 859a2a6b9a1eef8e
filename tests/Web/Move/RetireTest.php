<?php

declare(strict_types=1);

use App\Addresses\Books;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Service;
use Burrow\Household\Household;
use Burrow\Household\Stage;

// A box is taken out of service, taken back, wiped, and its record dropped.

/** A box of the house that was asked a minute ago and is silent since a while. */
function boxThatIsOff(string $name): Box
{
    $box = Box::query()->where('name', $name)->firstOrFail();
    $box->update(['asked_at' => now()->subMinute(), 'silent_since' => now()->subMinutes(9)]);

    return $box->refresh();
}

/** What the form sends. */
function goes(Box $box, array $with = []): array
{
    return ['retire_name' => $box->name, 'wipe_on' => now()->addDays(30)->format('Y-m-d'), ...$with];
}

test(
    'a box that is off goes: nothing asks it any more, its address is free, its record stays',
    function (): void {
        $box = boxThatIsOff('lantern');
        $had = (string) $box->address;
        $services = Service::query()->where('box_id', $box->id)->count();
        expect(Books::addresses(Network::home())->check($had)->blocks())->toBeTrue();
        $this->asKeeper()
            ->get("/boxes/{$box->id}/retire")
            ->assertOk()
            ->assertSee($had);
        $this->post("/boxes/{$box->id}/retire", goes($box))->assertRedirect("/boxes/{$box->id}");
        $box->refresh();
        expect([$box->stage, $box->address, $box->pinned_at])
            ->toBe([Stage::Retired, null, null])
            ->and(Books::addresses(Network::home())->check($had)->blocks())
            ->toBeFalse()
            ->and(Box::query()->standing()->where('name', 'lantern')->exists())
            ->toBeFalse()
            ->and(Service::query()->where('box_id', $box->id)->count())
            ->toBe($services)
            ->and(JournalEntry::query()->where('box_id', $box->id)->where('kind', 'retired')->value('text'))
            ->toContain($had);
        app()->forgetInstance(Household::class);
        $house = app(Household::class);
        $names = array_map(fn ($one): string => $one->box, [...$house->services(), ...$house->dependencies()]);
        expect($names)->not->toContain('lantern');
        foreach (['/', '/ports', '/reach', '/stores', '/upkeep', '/addresses'] as $page) {
            $this->get($page)->assertOk();
        }
        $this->get('/boxes')->assertSee('Out of service')->assertSee('kept until');
        $this->get("/boxes/{$box->id}")
            ->assertSee('Take it back')
            ->assertDontSee('Bring it up');
        $this->get("/boxes/{$box->id}/retire")->assertNotFound();
    },
);

test('one that answers does not go, and neither does one to which the router leads', function (): void {
    $box = boxThatIsOff('lantern');
    $box->update(['silent_since' => null, 'answered_at' => now()]);
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$box->id}/retire", goes($box))
        ->assertSee('It was not taken out')
        ->assertSee('Halt it, and look here again in a minute.');
    $open = Opening::query()->firstOrFail()->box;
    boxThatIsOff((string) $open->name);
    $this->post("/boxes/{$open->id}/retire", goes($open));
    expect([$box->refresh()->stage, $open->refresh()->stage])->toBe([Stage::InService, Stage::InService]);
});

test('its name is typed and its day is one, or it is said at the field', function (
    array $with,
    string $says,
): void {
    $box = boxThatIsOff('lantern');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$box->id}/retire", goes($box, $with))
        ->assertSee($says)
        ->assertSee('value="'.($with['retire_name'] ?? $box->name).'"', false);
    expect($box->refresh()->stage)->toBe(Stage::InService);
})->with([
    'another name' => [['retire_name' => 'larder'], 'Type lantern.'],
    'nothing' => [['retire_name' => ''], 'Type lantern.'],
    'no day' => [['wipe_on' => '2027-02-30'], 'A day from today on'],
    'yesterday' => [['wipe_on' => '2020-01-01'], 'A day from today on'],
    'far' => [['wipe_on' => '2099-01-01'], 'A day from today on'],
    'words' => [['wipe_on' => 'soon'], 'A day from today on'],
]);

test('it comes back unfinished, with its address where nobody else has it by then', function (
    bool $taken,
): void {
    $box = boxThatIsOff('lantern');
    $had = (string) $box->address;
    $this->asKeeper()->post("/boxes/{$box->id}/retire", goes($box));
    $taken &&
        Box::query()
            ->where('name', 'larder')
            ->firstOrFail()
            ->update(['address' => $had]);
    $this->post("/boxes/{$box->id}/take-back")->assertRedirect();
    expect([$box->refresh()->stage, $box->address])->toBe([Stage::Unfinished, $taken ? null : $had]);
})->with(['free' => [false], 'taken' => [true]]);

test('what was wiped has no way back, and only then the record may be dropped', function (): void {
    $box = boxThatIsOff('lantern');
    $this->asKeeper()
        ->delete("/boxes/{$box->id}")
        ->assertStatus(409);
    $this->post("/boxes/{$box->id}/wiped")->assertStatus(409);
    $this->post("/boxes/{$box->id}/retire", goes($box));
    $this->delete("/boxes/{$box->id}")->assertStatus(409);
    $this->post("/boxes/{$box->id}/wiped")->assertRedirect();
    $this->post("/boxes/{$box->id}/take-back")->assertStatus(409);
    $this->get("/boxes/{$box->id}")->assertSee('Drop its record');
    $this->delete("/boxes/{$box->id}")->assertRedirect();
    expect(Box::query()->where('name', 'lantern')->exists())
        ->toBeFalse()
        ->and(JournalEntry::query()->where('text', 'like', '%lantern was taken out of service%')->exists())
        ->toBeTrue();
});
