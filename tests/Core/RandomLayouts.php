<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Edit;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Dice;

/**
 * Layouts as people make them, by their number: one to start from, and up to six edits, members and further runs among them;
 * in spaces of every kind, in both unit systems, every third with things on its faces.
 */
final class RandomLayouts
{
    private const ACTIONS = ['split-bay', 'split-tier', 'split-bay', 'split-tier', 'copy-bay', 'copy-tier', 'mirror', 'base-upper', 'swap-bay', 'swap-tier', 'whole', 'remove-bay', 'remove-tier'];

    private const UNITS = ['shelves', 'shelves', 'drawers', 'hanging-rail', 'gap', 'knee-space', 'filler-panel', 'cleat-shelves'];

    private const SCHOOLS = ['pocket', 'dado', 'screws'];

    public static function plan(int $number): SpacePlan
    {
        $dice = new Dice(90_000 + $number);
        $kinds = SpaceKind::cases();
        $kind = $kinds[$number % count($kinds)];
        $measure = $number % 2 === 0 ? 'mm/1' : 'in/16';
        $space = new TestKind($kind, 3 + intdiv($number, count($kinds)) % 40, $measure, ['schools' => self::schools($number)]);
        $corners = $space->survey->sheet->shape->corners();
        if ($number % 10 === 9) {
            return $space->plan((new WildLayouts())->layout($dice, $corners), WildLayouts::things($dice, $corners));
        }

        return $space->plan(self::layout($space, $dice, $number, LengthFormat::of($measure)), $number % 3 === 0 ? self::things($dice, $space) : []);
    }

    /** @return array<string, string> */
    private static function schools(int $number): array
    {
        return [
            'box_joint' => self::SCHOOLS[intdiv($number, 5) % 3],
            'edges' => intdiv($number, 7) % 3 === 1 ? 'band' : 'frame',
            'back' => ['laid-on', 'rabbeted', 'laid-on', 'inset', 'none'][intdiv($number, 11) % 5],
            'doors' => intdiv($number, 13) % 2 === 0 ? 'inset' : 'overlay',
        ];
    }

    /** @return array<string, mixed> */
    private static function layout(TestKind $space, Dice $dice, int $number, LengthFormat $format): array
    {
        $choices = $space->space(Doc::none())->choices;
        $board = Length::ofMillimetres(18);
        $names = array_keys(StartingLayouts::names($space->kind));
        [$choices] = SpaceChoices::apply($choices, new Edit('layout.do', ['action' => 'start', 'name' => $dice->pick($names), 'seed' => "start of $number"]), $format, $board);
        for ($k = $dice->whole(0, 6); $k > 0; $k--) {
            try {
                [$choices] = SpaceChoices::apply($choices, self::edit($choices['layout'], $space, $dice, "seed of $number $k"), $format, $board);
            } catch (InvalidChoice) {
                // What is refused in words leaves the layout as it was.
            }
        }

        return $choices['layout'];
    }

    /** @param array<string, mixed> $layout */
    private static function edit(array $layout, TestKind $space, Dice $dice, string $seed): Edit
    {
        $run = $dice->pick($layout['runs']);
        $bay = $dice->pick($run['bays']);
        $tier = $dice->pick($bay['tiers']);
        $mm = fn (float $least, float $most) => TestLayout::mm(round($dice->between($least, $most)));
        $free = array_values(array_diff($space->survey->sheet->shape->walls(), array_column($layout['runs'], 'wall')));

        $shape = $space->survey->sheet->shape;
        $beside = array_merge(...array_map(fn (array $one) => [$shape->after($one['wall']), $shape->before($one['wall'])], $layout['runs']));
        $bare = array_values(array_diff($free, $beside));
        $adding = fn (string $list, array $more): Edit => new Edit('layout.do', ['action' => 'add', 'list' => $list, 'seed' => $seed] + $more);

        return match ($dice->whole(0, 13)) {
            0, 1, 2 => new Edit('layout.do', ['action' => $dice->pick(self::ACTIONS), 'cell' => $tier['id'], 'seed' => $seed]),
            3 => new Edit("layout.bays.{$bay['id']}.joined", $dice->chance(0.7)),
            4 => new Edit("layout.tiers.{$tier['id']}.with", ['fixed' => $dice->whole(0, 2), 'adjustable' => $dice->whole(0, 4)]),
            5 => $adding('members', ['kind' => $dice->pick(['worktop', 'end-panel', 'bench-lid']), 'cells' => [$tier['id'], $bay['id']]]),
            11 => $adding('fronts', ['kind' => 'door', 'cells' => [$tier['id']]]),
            12 => $adding('options', ['kind' => 'cable-hole', 'cells' => [$tier['id']]]),
            // Boards go on a wall before which nothing stands, and at which nothing ends.
            13 => $adding('surfaces', ['kind' => 'cladding', 'wall' => $bare === [] ? -1 : $dice->pick($bare)]),
            6 => new Edit("layout.bays.{$bay['id']}.top", $dice->pick(['sloped', 'stepped', 'below'])),
            7 => new Edit("layout.tiers.{$tier['id']}.holds", $dice->pick(self::UNITS)),
            8 => new Edit("layout.bays.{$bay['id']}.size", $dice->chance(0.3) ? null : $mm(250.0, 700.0)),
            9 => new Edit("layout.tiers.{$tier['id']}.".$dice->pick(['size', 'depth']), $dice->chance(0.3) ? null : $mm(250.0, 500.0)),
            default => new Edit('layout.do', ['action' => 'add-run', 'wall' => $free === [] ? 0 : $dice->pick($free), 'seed' => $seed]),
        };
    }

    /** @return list<array<string, mixed>> what is usually found on a wall: a pipe up it, a socket, a post, a window */
    private static function things(Dice $dice, TestKind $space): array
    {
        $walls = $space->survey->sheet->shape->walls();
        $kinds = [['pipe', 22, 2300, 45, 'may-be-covered', 'up'], ['socket', 82, 82, 8, 'reachable', null], ['post', 90, 1, 70, 'may-be-covered', null], ['window', 700, 900, 40, 'uncovered', null], ['pipe', 28, 28, 60, 'may-be-covered', 'along']];
        $things = [];
        for ($i = $dice->whole(1, 2); $i > 0; $i--) {
            [$kind, $wide, $high, $out, $rule, $direction] = $dice->pick($kinds);
            $wall = $dice->pick($walls);
            $along = round($dice->between(0.0, max(1.0, ($space->survey->room?->edgeLength($wall) ?? 1000.0) - $wide)));
            $things[] = [
                'id' => "t$i", 'kind' => $kind, 'name' => "Thing $i", 'face' => 'wall', 'wall' => $wall, 'along' => TestLayout::mm($along), 'along_from' => 'left',
                'up' => TestLayout::mm($direction === 'up' ? 0.0 : round($dice->between(100.0, 1200.0))), 'up_from' => 'floor', 'width' => TestLayout::mm($wide), 'height' => TestLayout::mm($high),
                'stands_out' => TestLayout::mm($out), 'rule' => $rule, 'reach_from' => null, 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => $direction, 'traced' => null, 'hot' => false,
            ];
        }

        return $things;
    }
}
