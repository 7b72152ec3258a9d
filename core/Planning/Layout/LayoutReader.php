<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Layout\Bay;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\MemberKind;
use Incastro\Fit\Layout\Run;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\Tier;
use Incastro\Fit\Layout\TopForm;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Measure\Length;

/** Reads a layout from its document, whose shape was checked before (docs/job.schema.json). */
final class LayoutReader
{
    /** @param array<string, mixed> $layout */
    public static function read(array $layout): Layout
    {
        $covered = [];
        foreach ($layout['members'] as $member) {
            $covered = $member['kind'] === MemberKind::Worktop->value ? [...$covered, ...array_fill_keys($member['cells'], true)] : $covered;
        }

        return new Layout(
            array_values(array_map(fn (array $run) => self::run($run, $covered), $layout['runs'])),
            array_values(array_map(fn (array $member) => new Member($member['id'], MemberKind::from($member['kind']), array_values($member['cells']), self::length($member['overhang'])), $layout['members'])),
            array_map(Closing::from(...), $layout['closings']),
            array_values($layout['openings']),
            $layout['marks'] ?? [],
        );
    }

    /**
     * @param  array<string, mixed>  $run
     * @param  array<string, true>  $covered  tiers over which a worktop lies: what stands on it is another box
     */
    private static function run(array $run, array $covered): Run
    {
        return new Run(
            $run['id'],
            $run['wall'],
            array_values(array_map(fn (array $bay) => self::bay($bay, $covered), $run['bays'])),
            self::length($run['height']),
            self::length($run['depth']),
            RunEnd::from($run['left']),
            RunEnd::from($run['right']),
        );
    }

    /**
     * @param  array<string, mixed>  $bay
     * @param  array<string, true>  $covered
     */
    private static function bay(array $bay, array $covered): Bay
    {
        $below = array_column($bay['tiers'], 'id');

        /** @var non-empty-list<Tier> $tiers */
        $tiers = array_values(array_map(fn (array $tier, int $t) => new Tier(
            $tier['id'],
            self::size($tier['size']),
            $tier['joined'] && ! isset($covered[$below[$t - 1] ?? '']),
            UnitKind::from($tier['unit']),
            $tier['fixed_shelves'],
            $tier['adjustable_shelves'],
            self::length($tier['depth']),
            $tier['snap'],
        ), array_values($bay['tiers']), range(0, count($bay['tiers']) - 1)));

        return new Bay($bay['id'], self::size($bay['size']), $bay['joined'], TopForm::from($bay['top']), $tiers, $bay['snap']);
    }

    /** @param array{share?: int, nm?: int} $size */
    private static function size(array $size): Size
    {
        return isset($size['nm']) ? Size::fixed(Length::ofNanometres($size['nm'])) : Size::share($size['share'] ?? Size::USUAL);
    }

    /** @param ?array{nm: int} $stored */
    private static function length(?array $stored): ?Length
    {
        return $stored === null ? null : Length::ofNanometres($stored['nm']);
    }
}
