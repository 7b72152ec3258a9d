<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\ChangesBox;
use Incastro\Fit\Holds\ClosesOpenings;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Holds\LiesOnSurface;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Fit\Layout\Bay;
use Incastro\Fit\Layout\Front;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Layout\Run;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\Surface;
use Incastro\Fit\Layout\Tier;
use Incastro\Fit\Layout\TopForm;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Units\Kinds;
use Incastro\Units\Unknown;

/** Reads a layout from its document, whose shape was checked before (docs/job.schema.json). */
final readonly class LayoutReader
{
    private function __construct(private HouseRules $rules)
    {
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  HouseRules  $rules  by which units have what was not chosen
     */
    public static function read(array $layout, HouseRules $rules): Layout
    {
        return (new self($rules))->layout($layout);
    }

    /**
     * How a space is divided, whatever its units are set to.
     *
     * @param  array<string, mixed>  $layout
     */
    public static function division(array $layout): Layout
    {
        return self::read($layout, new HouseRules(Unit::Millimetre));
    }

    /** @param array<string, mixed> $layout */
    private function layout(array $layout): Layout
    {
        $members = $unknown = $surfaces = [];
        foreach ($layout['surfaces'] ?? [] as $entry) {
            $holds = $this->unit($entry);
            $on = array_map(self::length(...), array_diff_key($entry['on'], ['wall' => 1, 'of' => 1]));
            if ($holds instanceof LiesOnSurface) {
                $surfaces[] = new Surface($entry['id'], $holds, $entry['on']['wall'], $on['from'], $on['to'], $on['foot'], $on['head'], $entry['on']['of'] ?? null);
            } else {
                $unknown[$entry['id']] = ['surfaces', $entry['kind']];
            }
        }
        $covered = $fronts = $options = [];
        foreach ($layout['options'] ?? [] as $entry) {
            $holds = $this->unit($entry);
            if (! $holds instanceof ChangesBox) {
                $unknown[$entry['id']] = ['options', $entry['kind']];

                continue;
            }
            foreach ($entry['cells'] as $tier) {
                $options[$tier][] = new Option($entry['id'], $holds);
            }
        }
        foreach ($layout['fronts'] ?? [] as $entry) {
            $holds = $this->unit($entry);
            if ($holds instanceof ClosesOpenings) {
                $fronts += array_fill_keys($entry['cells'], new Front($entry['id'], $holds));
            } else {
                $unknown[$entry['id']] = ['fronts', $entry['kind']];
            }
        }
        foreach ($layout['members'] as $entry) {
            $holds = $this->unit($entry);
            // A kind that is not known spans nothing: the document keeps it.
            if ($holds instanceof SpansCells) {
                $members[] = new Member($entry['id'], $holds, array_values($entry['cells']));
                $covered = $holds->form() === MemberForm::Over ? [...$covered, ...array_fill_keys($entry['cells'], true)] : $covered;
            } else {
                $unknown[$entry['id']] = ['members', $entry['kind']];
            }
        }

        return new Layout(
            array_values(array_map(fn (array $run) => $this->run($run, $covered, $fronts, $options), $layout['runs'])),
            $members,
            array_map(Closing::from(...), $layout['closings']),
            array_values($layout['openings']),
            $layout['marks'] ?? [],
            $unknown,
            $surfaces,
        );
    }

    /** @param array{kind: string, v?: int, with?: array<string, mixed>} $entry */
    private function unit(array $entry): object
    {
        return Kinds::standard()->find($entry['kind'])?->make($entry['with'] ?? [], $this->rules) ?? new Unknown($entry['kind']);
    }

    /** @param array{kind: string, v?: int, with?: array<string, mixed>} $entry */
    private function holds(array $entry): HoldsOpening|HoldsCell
    {
        $unit = $this->unit($entry);

        return $unit instanceof HoldsOpening || $unit instanceof HoldsCell ? $unit : new Unknown($entry['kind']);
    }

    /**
     * @param  array<string, mixed>  $run
     * @param  array<string, true>  $covered  tiers over which a worktop lies: what stands on it is another box
     * @param  array<string, Front>  $fronts  by tier
     * @param  array<string, list<Option>>  $options  by tier
     */
    private function run(array $run, array $covered, array $fronts, array $options): Run
    {
        return new Run(
            $run['id'],
            $run['wall'],
            array_values(array_map(fn (array $bay) => $this->bay($bay, $covered, $fronts, $options), $run['bays'])),
            self::length($run['height']),
            self::length($run['depth']),
            RunEnd::from($run['left']),
            RunEnd::from($run['right']),
            $run['from'] ?? null,
            $run['to'] ?? null,
        );
    }

    /**
     * @param  array<string, mixed>  $bay
     * @param  array<string, true>  $covered
     * @param  array<string, Front>  $fronts
     * @param  array<string, list<Option>>  $options
     */
    private function bay(array $bay, array $covered, array $fronts, array $options): Bay
    {
        $below = array_column($bay['tiers'], 'id');

        /** @var non-empty-list<Tier> $tiers */
        $tiers = array_values(array_map(fn (array $tier, int $t) => new Tier(
            $tier['id'],
            self::size($tier['size']),
            $tier['joined'] && ! isset($covered[$below[$t - 1] ?? '']),
            $this->holds($tier['holds']),
            self::length($tier['depth']),
            $tier['snap'],
            $fronts[$tier['id']] ?? null,
            $options[$tier['id']] ?? [],
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
