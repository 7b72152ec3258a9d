<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;

/** A layout put into the plumb, square test alcove, 2400 high and usually 600 deep, with things on its walls. */
final class TestLayout
{
    /** @var list<array<string, mixed>> */
    private array $things = [];

    /** @var array<string, mixed> */
    private array $changes = [];

    /** @param array<string, mixed> $layout */
    private function __construct(public array $layout, private readonly TestAlcove $alcove)
    {
    }

    /**
     * One run along the back wall on a plinth.
     *
     * @param  list<array<string, mixed>>  $bays
     * @param  array<string, mixed>  $but
     */
    public static function of(array $bays, array $but = [], float $width = 1200.0, float $depth = 600.0): self
    {
        $layout = ['runs' => [Doc::run('run', 0, $bays, $but + ['depth' => self::mm(400)])], 'members' => [Doc::member('plinth', 'plinth', array_column($bays, 'id'))]] + Doc::none();

        return new self($layout, new TestAlcove(fn () => 0.0, fn () => $width, $depth));
    }

    /**
     * One run along the back wall of another alcove, on the floor.
     *
     * @param  list<array<string, mixed>>  $bays
     */
    public static function in(TestAlcove $alcove, array $bays): self
    {
        return new self(['runs' => [Doc::run('run', 0, $bays, ['depth' => self::mm(400)])]] + Doc::none(), $alcove);
    }

    /** @param array<string, mixed> $but */
    public static function bay(string $id, array $but = [], ?array $tiers = null): array
    {
        return Doc::bay($id, $tiers ?? [Doc::tier("$id-1", ['holds' => Recipe::box(0, 2)])], $but);
    }

    /** @return array{nm: int, typed: string} */
    public static function mm(float $millimetres): array
    {
        return ['nm' => (int) round($millimetres * 1e6), 'typed' => ''];
    }

    /** @param array<string, mixed> $but */
    public function thing(string $id, string $kind, float $along, float $up, float $width, float $height, float $out, string $rule, array $but = []): self
    {
        $copy = clone $this;
        $copy->things[] = $but + [
            'id' => $id, 'kind' => $kind, 'name' => ucfirst($id), 'face' => 'wall', 'wall' => 0,
            'along' => self::mm($along), 'along_from' => 'left', 'up' => self::mm($up), 'up_from' => 'floor',
            'width' => self::mm($width), 'height' => self::mm($height), 'stands_out' => self::mm($out), 'rule' => $rule,
            'reach_from' => null, 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => null,
        ];

        return $copy;
    }

    /** @param array<string, mixed> $changes in the job's document */
    public function changing(array $changes): self
    {
        $copy = clone $this;
        $copy->changes = $changes + $copy->changes;

        return $copy;
    }

    /** @param array<string, mixed> $parts of the layout */
    public function with(array $parts): self
    {
        $copy = clone $this;
        $copy->layout = $parts + $copy->layout;

        return $copy;
    }

    /** The same after an edit of the space. */
    public function edited(Edit $edit): self
    {
        $copy = clone $this;
        [$space] = SpaceChoices::apply($this->space(), $edit, LengthFormat::millimetres(), Length::ofMillimetres(18));
        $copy->layout = $space['layout'];
        $copy->things = $space['things'];

        return $copy;
    }

    /** @return array<string, mixed> */
    private function space(): array
    {
        return ['layout' => $this->layout, 'things' => $this->things, 'texture' => 'plane', 'asks_front' => false] + SpaceChoices::defaults('Space', LengthFormat::millimetres());
    }

    public function job(): Job
    {
        $choices = $this->alcove->job()->spaces[0];
        $stored = fn (float $mm) => self::mm($mm);
        $space = ['id' => 'space', 'sheet' => ['low' => $stored(0), 'middle' => $stored(1200), 'high' => $stored(0), 'back' => $stored(20), 'front' => $stored(20), 'level' => $stored(1200)]] + $this->space();
        $space['takes'] = array_map(fn ($take) => [
            'id' => $take->id, 'slot' => $take->slot, 'end' => $take->end,
            'value' => $take->value instanceof \Incastro\Measure\Angle ? ['microdegrees' => $take->value->microdegrees(), 'typed' => ''] : ['nm' => $take->value->nanometres(), 'typed' => ''],
        ], $choices->takes);

        return JobReader::read(array_replace(JobChoices::defaults('Test', 'mm/1') + ['ways_in' => []], $this->changes) + ['spaces' => [$space]]);
    }

    public function plan(): SpacePlan
    {
        return (new Planner())->plan($this->job())->spaces[0];
    }

    /** @return list<Finding> */
    public function clashes(): array
    {
        return array_values(array_filter($this->plan()->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }
}
