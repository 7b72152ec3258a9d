<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpaceChoices;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Survey\Things\ThingKind;

/**
 * What stands on the walls of a made-up room, and what its people want in it: one of the layouts of its kind, sometimes with
 * bays joined or a member more.
 */
final readonly class Household
{
    /** Under a window stands what is no higher than this, mm. */
    private const SILL = 1150.0;

    /** Layouts that leave the upper wall free. */
    private const LOW = ['desk'];

    /** @var non-empty-list<string> the layouts of its kind, in the order in which it likes them */
    public array $layouts;

    /** @var list<TrueThing> */
    public array $things;

    public bool $skirtingStays;

    public function __construct(private TrueRoom $room, private Dice $dice)
    {
        $names = array_values(array_diff(array_keys(StartingLayouts::names($room->shape->kind)), ['wall-to-wall']));
        $liked = [];
        while ($names !== []) {
            [$liked[]] = array_splice($names, $dice->whole(0, count($names) - 1), 1);
        }
        $this->layouts = $liked === [] ? ['one-tall'] : $liked;
        $this->skirtingStays = $dice->chance(0.3);
        $things = [];
        foreach ([[0.5, $this->socket(...)], [0.35, $this->pipe(...)], [0.25, $this->post(...)], [0.3, $this->window(...)]] as [$share, $make]) {
            $thing = $dice->chance($share) ? $make() : null;
            if ($thing !== null && array_filter($things, fn (TrueThing $other) => $other->along < $thing->along + $thing->width + 20.0 && $thing->along < $other->along + $other->width + 20.0) === []) {
                $things[] = $thing;
            }
        }
        $this->things = $things;
    }

    /**
     * The document of its space as the person entered it, with the layout that was liked best of those that suit the room.
     *
     * @param  \Closure(array<string, mixed>): bool  $suits
     * @return array<string, mixed>
     */
    public function choices(LengthFormat $format, Length $board, \Closure $suits): array
    {
        $empty = SpaceChoices::defaults('Trial', $format, $this->room->shape->kind);
        $started = fn (string $name): array => SpaceChoices::apply($empty, new Edit('layout.do', ['action' => 'start', 'name' => $name, 'seed' => 'household']), $format, $board)[0];
        $layout = $this->layouts[0];
        foreach ($this->layouts as $name) {
            if ($suits($started($name))) {
                $layout = $name;
                break;
            }
        }
        $choices = $started($layout);
        // Nobody puts a cupboard before a window.
        $things = array_filter($this->things, fn (TrueThing $thing) => $thing->kind !== ThingKind::Window || in_array($layout, self::LOW, true));
        $choices['things'] = array_values(array_map(fn (TrueThing $thing) => $thing->entry($this->dice), $things));
        foreach ($this->wishes($choices['layout']) as $edit) {
            try {
                [$wished] = SpaceChoices::apply($choices, $edit, $format, $board);
            } catch (InvalidChoice) {
                continue;
            }
            // A wish that does not suit the room is undone.
            $choices = $suits(['things' => []] + $wished) ? $wished : $choices;
        }

        return $choices;
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return list<Edit>
     */
    private function wishes(array $layout): array
    {
        $bays = $layout['runs'][0]['bays'];
        $wishes = [];
        if (count($bays) > 1 && $this->dice->chance(0.3)) {
            $wishes[] = Edits::bay($bays[1]['id'])->with('joined', true);
        }
        if ($this->dice->chance(0.3)) {
            $wishes[] = Edits::tier($bays[0]['tiers'][0]['id'])->setting(['fixed' => 1, 'adjustable' => 2]);
        }
        if ($this->dice->chance(0.2)) {
            $wishes[] = Recipe::panelBeside($bays[count($bays) - 1]['id']);
        }
        if ($this->dice->chance(0.2)) {
            $wishes[] = Edits::action('split-bay', $bays[0]['tiers'][0]['id'], 'split in two');
        }

        return $wishes;
    }

    private function socket(): TrueThing
    {
        return new TrueThing('socket', ThingKind::Socket, 0, $this->along(80.0), round($this->dice->between(200.0, 500.0)), 82.0, 82.0, 8.0);
    }

    /** A cold pipe up the back wall, near one of its corners. */
    private function pipe(): TrueThing
    {
        $beside = $this->dice->between(40.0, 150.0);
        $along = $this->dice->chance(0.5) ? $beside : $this->room->length(0) - $beside - 22.0;

        return new TrueThing('pipe', ThingKind::Pipe, 0, $along, 0.0, 22.0, $this->high($along, 22.0), round($this->dice->between(35.0, 60.0)), 'up');
    }

    private function post(): TrueThing
    {
        $along = $this->dice->chance(0.5) ? 0.0 : $this->room->length(0) - 90.0;

        return new TrueThing('post', ThingKind::Post, 0, $along, 0.0, 90.0, $this->high($along, 90.0), round($this->dice->between(50.0, 90.0)));
    }

    /** A window with its trim, in a back wall that keeps room for it. */
    private function window(): ?TrueThing
    {
        $high = $this->high(0.0, $this->room->length(0)) - self::SILL - 100.0;
        if ($high < 300.0) {
            return null;
        }

        return new TrueThing('window', ThingKind::Window, 0, $this->along(600.0), self::SILL, 600.0, $high, 35.0);
    }

    private function along(float $wide): float
    {
        return round($this->dice->between(60.0, max(61.0, $this->room->length(0) - $wide - 60.0)));
    }

    /** How high the wall behind stands free over a stretch of it. */
    private function high(float $along, float $wide): float
    {
        $heights = array_map(fn (float $u) => $this->room->ceilingAt($this->room->before(0, $u, 0.0, 0.0)), [$along, $along + $wide]);

        return floor(min($heights));
    }
}
