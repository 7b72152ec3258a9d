<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\ClosesOpenings;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Holds\OpensBoxes;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Dice;
use Incastro\Units\Family;
use Incastro\Units\Kinds;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

/**
 * What every unit owes: at the least, the most and the usual of each of its parameters, in plumb and in crooked spaces, under a
 * rake and a slope, in both unit systems and under each way of joining boxes, what is built of it stands free and joined, or it says itself why not.
 */
final class EveryUnitTest extends TestCase
{
    use StandsFree;

    /** So many settings of several parameters at once, each in one of the rooms. */
    private const MIXED = 45;

    /** Options of boxes that hang on their wall. */
    private const HANGS = ['pelmet'];

    /** What stands on the floor, and nowhere else. */
    private const LOW = ['step-drawer'];

    /** What is larger, as usual, than the rooms that are tried: so large instead, mm. */
    private const SMALL = ['bed-platform' => ['length' => 700, 'width' => 350, 'thickness' => 80], 'bed-deck' => ['length' => 700, 'width' => 350, 'thickness' => 80]];

    /** @return array<string, array{string}> */
    public static function kinds(): array
    {
        $kinds = array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...Family::cases()));

        return array_combine($kinds, array_map(fn (string $kind) => [$kind], $kinds));
    }

    /** Settings of several parameters at once: none where there are not several. */
    private static function mixed(Blueprint $blueprint): int
    {
        return count($blueprint->parameters) > 1 ? self::MIXED : 0;
    }

    /** @return list<array<string, mixed>> what it may be set to: as usual, and each parameter at its bounds or to every choice */
    private static function settings(Blueprint $blueprint): array
    {
        $settings = [[]];
        $all = [];
        foreach ($blueprint->described(new HouseRules(LengthFormat::millimetres()->unit), LengthFormat::millimetres()) as $parameter) {
            $values = match ($parameter['type']) {
                'count' => [$parameter['least'], $parameter['most']],
                'size' => array_map(fn (array $length) => ['nm' => $length['nm'], 'typed' => ''], [$parameter['least'], $parameter['most']]),
                'choice' => array_column($parameter['choices'], 'value'),
                'toggle' => [true, false],
                // Thinner than all else, so that it would show; thicker where that would break under a foot.
                'material' => [$blueprint->about->kind === 'step-treads' ? 'thick' : 'drawer'],
                default => [],
            };
            array_push($settings, ...array_map(fn (mixed $value) => [$parameter['name'] => $value], $values));
            $all[$parameter['name']] = $values;
        }
        // And several at once: what one asks for may meet what another does.
        $dice = new Dice(crc32($blueprint->about->kind));
        for ($i = 0; $i < self::mixed($blueprint); $i++) {
            $settings[] = array_filter(array_map(fn (array $values) => $values === [] || $dice->chance(0.3) ? null : $dice->pick($values), $all), fn (mixed $value) => $value !== null);
        }

        $small = array_map(TestLayout::mm(...), self::SMALL[$blueprint->about->kind] ?? []);

        return array_map(fn (array $with) => $with + $small, $settings);
    }

    /**
     * A layout with the unit in the middle of what usually stands around it; or on the floor beside a box, for what rolls or is heavy.
     *
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function layout(string $kind, array $with, bool $isOnFloor = false): array
    {
        $holds = Doc::holds($kind, $with);
        $isFront = Kinds::standard()->family($kind) === Family::Front;
        $isMember = $isFront || Kinds::standard()->family($kind) === Family::Member;
        $low = ['size' => TestLayout::mm(self::height($kind, $with))];
        $bays = [
            Doc::bay('a', [Doc::tier('a-1', ['holds' => $isMember ? Recipe::box(0, 1) : $holds] + $low), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])]),
            Doc::bay('b', [Doc::tier('b-1', ['holds' => Recipe::box(0, 1)] + $low), Doc::tier('b-2', ['joined' => false, 'holds' => $isMember ? Recipe::gap() : $holds])]),
        ];
        $form = $isMember && ! $isFront ? Kinds::standard()->find($kind)?->make([], new HouseRules(LengthFormat::millimetres()->unit)) : null;
        if ($form instanceof SpansCells && $form->form() === MemberForm::Over && ! $form instanceof OpensBoxes && ! isset(self::SMALL[$kind])) {
            // Shallower boxes stand on what lies over them.
            foreach ([0, 1] as $b) {
                $bays[$b]['tiers'][1] = Doc::tier($b === 0 ? 'a-2' : 'b-2', ['joined' => false, 'holds' => Recipe::box(0, 1), 'depth' => TestLayout::mm(250)]);
            }
        }
        $cells = $form === null ? [] : match ($form->form()->value) {
            'over' => ['a-1', 'b-1'],
            'beside' => ['b'],
            default => ['a', 'b'],
        };
        if ($isFront) {
            $fronts = array_map(fn (string $cell) => array_replace(Doc::member("front-$cell", $kind, [$cell]), ['with' => $with]), ['a-1', 'b-1']);

            return ['runs' => [Doc::run('r', 0, $bays)], 'members' => [Recipe::plinth('p', ['a', 'b'])], 'fronts' => $fronts] + Doc::none();
        }
        if (Kinds::standard()->family($kind) === Family::Surface) {
            return ['surfaces' => [['id' => 's'] + Doc::holds($kind, $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]]] + Doc::none();
        }
        if (Kinds::standard()->family($kind) === Family::Option) {
            $box = fn (string $tier) => Doc::tier($tier, ['holds' => Recipe::box(0, 2)] + $low);
            $options = array_map(fn (string $cell) => array_replace(Doc::member("option-$cell", $kind, [$cell]), ['with' => $with]), ['a-1', 'b-1']);

            if (in_array($kind, self::HANGS, true)) {
                $hung = fn (string $bay): array => Doc::bay($bay, [Doc::tier("$bay-0", ['size' => TestLayout::mm(900), 'holds' => Recipe::gap()]), Doc::tier("$bay-1", ['joined' => false, 'size' => TestLayout::mm(500), 'depth' => TestLayout::mm(300), 'holds' => Recipe::box(0, 1)]), Doc::tier("$bay-2", ['joined' => false, 'holds' => Recipe::gap()])]);
                $screwed = array_map(fn (string $cell) => Doc::member("hung-$cell", 'wall-hung', [$cell]), ['a-1', 'b-1']);

                return ['runs' => [Doc::run('r', 0, [$hung('a'), $hung('b')])], 'options' => [...$screwed, ...$options]] + Doc::none();
            }

            return ['runs' => [Doc::run('r', 0, [Doc::bay('a', [$box('a-1')]), Doc::bay('b', [$box('b-1')])])], 'members' => [Recipe::plinth('p', ['a', 'b'])], 'options' => $options] + Doc::none();
        }
        if (in_array($kind, self::LOW, true)) {
            $bays[1]['tiers'][1]['holds'] = Recipe::gap();
        }
        if ($isOnFloor) {
            $bays[1]['tiers'][1]['holds'] = Recipe::gap();

            return ['runs' => [Doc::run('r', 0, $bays)], 'members' => [Recipe::plinth('p', ['b'])]] + Doc::none();
        }
        $members = $isMember ? [array_replace(Doc::member('m', $kind, $cells), ['with' => $with])] : [Recipe::plinth('p', ['a', 'b'])];

        return ['runs' => [Doc::run('r', 0, $bays)], 'members' => $members] + Doc::none();
    }

    /** @return list<array<string, mixed>> what it is put round */
    private static function things(string $kind): array
    {
        return $kind !== 'chase-box' ? [] : [[
            'id' => 'pipe', 'kind' => 'pipe', 'name' => 'Pipe', 'face' => 'wall', 'wall' => 0, 'along' => TestLayout::mm(200), 'along_from' => 'left', 'up' => TestLayout::mm(0), 'up_from' => 'floor',
            'width' => TestLayout::mm(28), 'height' => TestLayout::mm(1000), 'stands_out' => TestLayout::mm(60), 'rule' => 'may-be-covered', 'reach_from' => null, 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => 'up',
        ]];
    }

    /**
     * As high as a cell of 1200 may be for it, mm.
     *
     * @param  array<string, mixed>  $with
     */
    private static function height(string $kind, array $with): int
    {
        $rules = new HouseRules(LengthFormat::millimetres()->unit);
        $unit = Kinds::standard()->find($kind)?->make($with, $rules);
        $demand = $unit instanceof ClosesOpenings || $unit instanceof HoldsCell || ($unit instanceof HoldsOpening && in_array($kind, self::LOW, true)) ? $unit->demand($rules, TestTerms::materials())->height->most : null;

        // What counts from the floor stands on a plinth here.
        return (int) min(1200, $demand === null ? 1200.0 : $demand->toDouble() - match (true) {
            $unit instanceof HoldsCell => 110.0,
            $unit instanceof HoldsOpening => 0.0,
            default => 40.0,
        });
    }

    #[DataProvider('kinds')]
    public function test_it_stands_free_and_joined_or_says_why_not(string $kind): void
    {
        $blueprint = Kinds::standard()->find($kind);
        self::assertNotNull($blueprint);
        $fitting = 0;
        $rooms = [
            [SpaceKind::Alcove, 'mm/1', ['box_joint' => 'pocket']],
            [SpaceKind::Closet, 'in/16', ['box_joint' => 'dado', 'back' => 'rabbeted']],
            [SpaceKind::UnderStair, 'mm/1', ['box_joint' => 'dado', 'edges' => 'band', 'doors' => 'overlay', 'leaf_build' => 'grooved']],
            [SpaceKind::RoofSlope, 'in/16', ['box_joint' => 'screws', 'edges' => 'band', 'back' => 'none']],
            [SpaceKind::RoomCorner, 'mm/1', ['box_joint' => 'screws', 'back' => 'inset']],
        ];
        $settings = self::settings($blueprint);
        foreach ($rooms as $i => [$space, $measure, $schools]) {
            $room = new TestKind($space, 31 + $i, $measure, ['schools' => $schools]);
            foreach ($settings as $k => $with) {
                // As usual it is tried in every room, each setting in two of them, and each of several at once in one; all in all on demand.
                $isMixed = $k >= count($settings) - self::mixed($blueprint);
                $turns = $k === 0 || getenv('INCASTRO_CAMPAIGN') !== false ? range(0, count($rooms) - 1) : ($isMixed ? [$k % count($rooms)] : [$k % count($rooms), ($k + 2) % count($rooms)]);
                if (! in_array($i, $turns, true)) {
                    continue;
                }
                foreach (Kinds::standard()->family($kind) === Family::Cell ? [false, true] : [false] as $isOnFloor) {
                    $plan = $room->plan(self::layout($kind, $with, $isOnFloor), self::things($kind));
                    $name = sprintf('%s %s in %s%s', $kind, json_encode($with), $space->value, $isOnFloor ? ', on the floor' : '');
                    self::assertSame([], self::faults($plan), $name);
                    $fitting += $plan->verdict->state === 'fits' ? 1 : 0;
                }
            }
        }
        // It is not made free by being refused everywhere.
        self::assertGreaterThan(0, $fitting);
    }
}
