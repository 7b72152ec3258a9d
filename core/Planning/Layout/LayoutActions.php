<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Layout\Size;
use Incastro\Measure\Length;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Units\Family;
use Incastro\Units\Kinds;

/**
 * The single actions that change how a layout is divided: split, join, swap, mirror, copy, cut into base and upper, add and
 * take away runs and members. Each takes a document and gives one; new cells get their ids from the action's seed.
 */
final readonly class LayoutActions
{
    public const NAMES = [
        'split-bay' => 'Split the bay', 'split-tier' => 'Split the tier', 'remove-bay' => 'Join the bay with its neighbour', 'remove-tier' => 'Join the tier with its neighbour',
        'swap-bay' => 'Swap with the bay to the right', 'swap-tier' => 'Swap with the tier above', 'mirror' => 'Mirror the run',
        'copy-bay' => 'Copy the bay', 'copy-tier' => 'Copy the tier', 'base-upper' => 'Cut into base and upper', 'whole' => 'Join base and upper',
        'add-run' => 'Add a run', 'remove-run' => 'Take the run away', 'add' => 'Add to it', 'start' => 'Start from a layout', 'size-bays' => 'Set the widths of the run',
    ];

    /** A bay, nm. */
    private const NARROWEST = 10_000_000;

    private const WIDEST = 6_000_000_000;

    private LayoutIds $ids;

    private BesideCells $beside;

    /**
     * @param  array<string, mixed>  $layout
     * @param  list<int>  $walls  along which a run may stand
     */
    public function __construct(private array $layout, private array $walls, string $seed, private string $path, private Length $step, private Length $board)
    {
        $this->ids = new LayoutIds($seed, LayoutDocument::ids($layout));
        $this->beside = new BesideCells($this->ids);
    }

    /**
     * @param  array<string, mixed>  $value  the action and what it is done to
     * @return array<string, mixed> the layout after it
     *
     * @throws InvalidChoice
     */
    public function apply(array $value): array
    {
        $cell = is_string($value['cell'] ?? null) ? $value['cell'] : '';
        $after = $this->acted($value, $cell);

        // Numbers of cells that share boards are clear openings, of others outer sizes: each keeps the place that it had.
        return (new OuterSizes($this->board))->kept($this->layout, $after, in_array($value['action'] ?? null, ['split-bay', 'split-tier', 'base-upper'], true));
    }

    /**
     * @param  array<string, mixed>  $value
     * @return array<string, mixed>
     */
    private function acted(array $value, string $cell): array
    {
        return match ($value['action'] ?? null) {
            'split-bay' => $this->onBay($cell, fn (array $bays, int $b) => $this->splitBay($bays, $b)),
            'remove-bay' => $this->onBay($cell, fn (array $bays, int $b) => $this->joinedBay($bays, $b)),
            'swap-bay' => $this->onBay($cell, fn (array $bays, int $b) => CellList::swapped($bays, $b, 'There is no bay to its right.', $this->path)),
            'copy-bay' => $this->onBay($cell, fn (array $bays, int $b) => $this->copiedBay($bays, $b)),
            'base-upper' => $this->onBay($cell, fn (array $bays, int $b) => $this->cut($bays, $b, is_array($value['at'] ?? null) ? $value['at'] : null)),
            'whole' => $this->onBay($cell, fn (array $bays, int $b) => self::whole($bays, $b)),
            'split-tier' => $this->onTier($cell, fn (array $tiers, int $t) => $this->splitTier($tiers, $t), true),
            'remove-tier' => $this->onTier($cell, fn (array $tiers, int $t) => CellList::joined($tiers, $t, 'A bay has at least one tier.', $this->path)),
            'swap-tier' => $this->onTier($cell, fn (array $tiers, int $t) => CellList::swapped($tiers, $t, 'There is no tier above it.', $this->path)),
            'copy-tier' => $this->onTier($cell, fn (array $tiers, int $t) => $this->copiedTier($tiers, $t), true),
            'size-bays' => $this->onBay($cell, fn (array $bays) => $this->sized($bays, is_array($value['sizes'] ?? null) ? $value['sizes'] : [])),
            'mirror' => $this->mirrored($cell),
            'add-run' => $this->withRun($value['wall'] ?? 0, array_intersect_key($value, ['from' => 1, 'to' => 1])),
            'remove-run' => $this->withoutRun($cell),
            'add' => $this->withUnit($value['list'] ?? 'members', $value['kind'] ?? '', $value['cells'] ?? []),
            default => throw $this->refused('This is not an action on a layout.'),
        };
    }

    private function refused(string $why): InvalidChoice
    {
        return new InvalidChoice($this->path, $why);
    }

    /**
     * @param  \Closure(list<array<string, mixed>>, int): list<array<string, mixed>>  $change
     * @return array<string, mixed>
     */
    private function onBay(string $cell, \Closure $change): array
    {
        [$r, $b] = LayoutDocument::bayAt($this->layout, $cell) ?? throw $this->refused('This bay is not there any more.');
        $layout = $this->layout;
        $before = array_column($layout['runs'][$r]['bays'], 'id');
        $layout['runs'][$r]['bays'] = $change($layout['runs'][$r]['bays'], $b);
        if (count($layout['runs'][$r]['bays']) > LayoutDocument::MOST['bays']) {
            throw $this->refused(sprintf('A run has at most %d bays.', LayoutDocument::MOST['bays']));
        }

        return $this->beside->follow($layout, $layout['runs'][$r]['bays'][min($b, count($layout['runs'][$r]['bays']) - 1)], array_values(array_diff(array_column($layout['runs'][$r]['bays'], 'id'), $before)), $before[$b]);
    }

    /**
     * @param  \Closure(list<array<string, mixed>>, int): list<array<string, mixed>>  $change
     * @return array<string, mixed>
     */
    private function onTier(string $cell, \Closure $change, bool $isRaised = false): array
    {
        [$r, $b, $t] = LayoutDocument::tierAt($this->layout, $cell) ?? throw $this->refused('This tier is not there any more.');
        $layout = $this->layout;
        $tiers = $change($layout['runs'][$r]['bays'][$b]['tiers'], $t);
        if (count($tiers) > LayoutDocument::MOST['tiers']) {
            throw $this->refused(sprintf('A bay has at most %d tiers.', LayoutDocument::MOST['tiers']));
        }
        $layout['runs'][$r]['bays'][$b]['tiers'] = $tiers;
        if ($isRaised) {
            // What lies over a tier lies over the topmost of the parts that came of it.
            foreach ($layout['members'] as $m => $member) {
                if (LayoutUnits::isOver($member)) {
                    $layout['members'][$m]['cells'] = array_map(fn (string $id) => $id === $cell ? $tiers[$t + 1]['id'] : $id, $member['cells']);
                }
            }
        }

        return $this->beside->follow($layout, $layout['runs'][$r]['bays'][$b], [], '');
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  array<array-key, mixed>  $sizes  nm, by bay
     * @return list<array<string, mixed>>
     */
    private function sized(array $bays, array $sizes): array
    {
        return array_map(function (array $bay) use ($sizes): array {
            $nm = $sizes[$bay['id']] ?? null;
            if ($nm !== null && (! is_int($nm) || $nm < self::NARROWEST || $nm > self::WIDEST)) {
                throw $this->refused('A width is a whole number of nanometres, from 10 mm to 6 m.');
            }

            return $nm === null ? $bay : ['size' => ['nm' => $nm, 'typed' => '']] + $bay;
        }, $bays);
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @return list<array<string, mixed>>
     */
    private function splitBay(array $bays, int $b): array
    {
        $bays = CellList::doubled($bays, $b);
        [$left, $right] = CellList::halves($bays[$b]['size'], $this->step);
        $new = ['id' => $this->ids->next(), 'size' => $right, 'joined' => false, 'snap' => $bays[$b]['snap'], 'tiers' => $this->fresh($bays[$b]['tiers'])] + $bays[$b];
        $bays[$b] = ['size' => $left, 'snap' => null] + $bays[$b];
        array_splice($bays, $b + 1, 0, [$new]);

        return $bays;
    }

    /**
     * @param  list<array<string, mixed>>  $tiers
     * @return list<array<string, mixed>> the same with ids of their own
     */
    private function fresh(array $tiers): array
    {
        return array_map(fn (array $tier) => ['id' => $this->ids->next()] + $tier, $tiers);
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @return list<array<string, mixed>>
     */
    private function joinedBay(array $bays, int $b): array
    {
        return CellList::joined($bays, $b, 'A run has at least one bay. Take the run away instead.', $this->path);
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @return list<array<string, mixed>>
     */
    private function copiedBay(array $bays, int $b): array
    {
        $copy = ['id' => $this->ids->next(), 'snap' => null, 'tiers' => $this->fresh($bays[$b]['tiers'])] + $bays[$b];
        array_splice($bays, $b + 1, 0, [$copy]);

        return $bays;
    }

    /**
     * @param  list<array<string, mixed>>  $tiers
     * @return list<array<string, mixed>>
     */
    private function splitTier(array $tiers, int $t): array
    {
        $tiers = CellList::doubled($tiers, $t);
        [$lower, $upper] = CellList::halves($tiers[$t]['size'], $this->step);
        $new = ['id' => $this->ids->next(), 'size' => $upper, 'joined' => true, 'snap' => $tiers[$t]['snap']] + $tiers[$t];
        [$below, $above] = LayoutUnits::halved($tiers[$t]['holds']);
        $new = ['holds' => $above] + $new;
        $tiers[$t] = ['size' => $lower, 'snap' => null, 'holds' => $below] + $tiers[$t];
        array_splice($tiers, $t + 1, 0, [$new]);

        return $tiers;
    }

    /**
     * @param  list<array<string, mixed>>  $tiers
     * @return list<array<string, mixed>>
     */
    private function copiedTier(array $tiers, int $t): array
    {
        array_splice($tiers, $t + 1, 0, [['id' => $this->ids->next(), 'snap' => null] + $tiers[$t]]);

        return $tiers;
    }

    /**
     * A bay's box, and with it every bay that shares its boards, in a base and an upper: at the boundary between tiers that is
     * nearest to the middle, or, where there is one tier, at a height, or half way.
     *
     * @param  list<array<string, mixed>>  $bays
     * @param  ?array<string, mixed>  $at  a stored length
     * @return list<array<string, mixed>>
     */
    private function cut(array $bays, int $b, ?array $at): array
    {
        foreach (self::sharing($bays, $b) as $i) {
            $tiers = $bays[$i]['tiers'];
            if (count($tiers) === 1) {
                $tiers = $this->splitTier($tiers, 0);
                if (is_int($at['nm'] ?? null)) {
                    $tiers[0]['size'] = ['nm' => $at['nm'], 'typed' => ''];
                    $tiers[1]['size'] = ['share' => Size::USUAL];
                }
            }
            $middle = intdiv(count($tiers), 2);
            $tiers[$middle]['joined'] = false;
            $bays[$i]['tiers'] = $tiers;
        }

        return $bays;
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @return list<array<string, mixed>>
     */
    private static function whole(array $bays, int $b): array
    {
        foreach (self::sharing($bays, $b) as $i) {
            $bays[$i]['tiers'] = array_map(fn (array $tier) => ['joined' => true] + $tier, $bays[$i]['tiers']);
        }

        return $bays;
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @return list<int> the bays that share boards with one, itself among them
     */
    private static function sharing(array $bays, int $b): array
    {
        [$first, $last] = [$b, $b];
        while ($first > 0 && $bays[$first]['joined']) {
            $first--;
        }
        while (isset($bays[$last + 1]) && $bays[$last + 1]['joined']) {
            $last++;
        }

        return range($first, $last);
    }

    /** @return array<string, mixed> */
    private function mirrored(string $cell): array
    {
        $layout = $this->layout;
        $r = LayoutDocument::bayAt($layout, $cell)[0] ?? array_search($cell, array_column($layout['runs'], 'id'), true);
        if ($r === false) {
            throw $this->refused('This run is not there any more.');
        }
        $bays = array_reverse($layout['runs'][$r]['bays']);
        $joined = array_column($layout['runs'][$r]['bays'], 'joined');
        foreach ($bays as $b => $bay) {
            // The boundary to the left of a bay was the one to the right of it.
            $bays[$b] = ['joined' => $b > 0 && $joined[count($bays) - $b], 'snap' => null] + $bay;
        }
        $layout['runs'][$r] = ['bays' => $bays, 'left' => $layout['runs'][$r]['right'], 'right' => $layout['runs'][$r]['left']] + $layout['runs'][$r];
        $layout['closings'] = $this->mirroredClosings(LayoutDocument::idsOfRun($layout['runs'][$r]));

        return $layout;
    }

    /**
     * How edges are closed: what a mirrored run had at its left it has at its right.
     *
     * @param  list<string>  $ids  of the run
     * @return array<string, string>
     */
    private function mirroredClosings(array $ids): array
    {
        $closings = [];
        foreach ($this->layout['closings'] as $edge => $closing) {
            [$side, $owner] = explode(':', $edge, 2);
            $isOwn = in_array($owner, $ids, true);
            $closings[match (true) {
                $isOwn && $side === 'left' => "right:$owner",
                $isOwn && $side === 'right' => "left:$owner",
                default => $edge,
            }] = $closing;
        }

        return $closings;
    }

    /**
     * @param  array<string, mixed>  $beside  ids of what stands before the wall, beside which it begins and ends
     * @return array<string, mixed>
     */
    private function withRun(mixed $wall, array $beside): array
    {
        if (! is_int($wall) || ! in_array($wall, $this->walls, true)) {
            throw $this->refused(sprintf('Say along which wall the run stands: %s.', implode(', ', $this->walls)));
        }
        if (count($this->layout['runs']) >= LayoutDocument::MOST['runs']) {
            throw $this->refused(sprintf('A space has at most %d runs.', LayoutDocument::MOST['runs']));
        }
        if (array_diff($beside, array_column($this->layout['surfaces'], 'id')) !== []) {
            throw $this->refused('What the run would stand beside is not there any more.');
        }
        $layout = $this->layout;
        $bay = LayoutDocument::bay($this->ids->next(), [LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::box(1, 3)])]);
        $isFirst = $layout['runs'] === [];
        $layout['runs'][] = LayoutDocument::run($this->ids->next(), $wall, [$bay], $beside + ($isFirst ? [] : ['left' => 'stops', 'right' => 'stops']));
        $layout['members'][] = Recipe::plinth($this->ids->next(), [$bay['id']]);

        return $layout;
    }

    /** @return array<string, mixed> */
    private function withoutRun(string $id): array
    {
        $layout = $this->layout;
        $layout['runs'] = array_values(array_filter($layout['runs'], fn (array $run) => $run['id'] !== $id));
        if (count($layout['runs']) === count($this->layout['runs'])) {
            throw $this->refused('This run is not there any more.');
        }

        return $this->beside->follow($layout, ['tiers' => []], [], '');
    }

    /** @return array<string, mixed> */
    private function withUnit(mixed $list, mixed $kind, mixed $cells): array
    {
        $family = is_string($list) ? LayoutDocument::BESIDE[$list] ?? null : null;
        $known = LayoutDocument::ids($this->layout);
        $cells = is_array($cells) ? array_values(array_intersect($known, array_filter($cells, is_string(...)))) : [];
        $blueprint = is_string($kind) && $family !== null && Kinds::standard()->family($kind) === $family ? Kinds::standard()->find($kind) : null;
        if ($blueprint === null || $cells === [] || ! is_string($list)) {
            $names = implode(', ', array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...($family === null ? array_values(LayoutDocument::BESIDE) : [$family]))));
            throw $this->refused("What is added is one of $names, and names the cells that it spans.");
        }
        foreach ($this->layout[$list] as $other) {
            // Two worktops, or a lid and a worktop, do not lie over one cell; a skirting and a cornice may both run round it.
            $form = LayoutUnits::form(LayoutDocument::holds($blueprint->about->kind));
            $isInItsPlace = $family === Family::Front || ($family === Family::Member && $form !== MemberForm::Around && LayoutUnits::form($other) === $form);
            if ($isInItsPlace && array_intersect($cells, $other['cells']) !== []) {
                throw $this->refused(sprintf('There is a %s already.', lcfirst(Kinds::standard()->find($other['kind'])->about->label ?? $other['kind'])));
            }
        }
        if (count($this->layout[$list]) >= LayoutDocument::MOST[$list]) {
            throw $this->refused(sprintf('A space has at most %d of them.', LayoutDocument::MOST[$list]));
        }
        $layout = $this->layout;
        $layout[$list][] = LayoutDocument::member($this->ids->next(), $blueprint->about->kind, $cells);

        return $layout;
    }
}
