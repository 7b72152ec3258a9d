<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Closing\EdgeFitter;
use Incastro\Fit\Closing\GapReader;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Layout\Bay;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Run;
use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\TopForm;
use Incastro\Fit\Members\MemberFitter;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\ThingKind;

/**
 * Fits one run along its wall: as deep, wide and high as goes in along its whole path, less allowances and doubt; divides it
 * into bays and tiers; and closes what remains. Widest and highest first, then what the closings ask for is reserved, once; a
 * closing that changed by it keeps its second choice and gets its reserve too (handbook, "Closing a gap").
 */
final class RunFitter
{
    private const ROUNDS = 3;

    private RunFrame $frame;

    private GapReader $gaps;

    private Working $depth;

    private float $back = 0.0;

    private float $foot;

    private Ends $ends;

    private MemberFitter $members;

    /**
     * @param  list<FittedRun>  $before  runs that were fitted before
     * @param  array<string, FittedSurface>  $surfaces  what lies on walls and stands before them, by id
     * @param  array{left?: FittedRun, right?: FittedRun}  $corners  runs round a corner at whose face this one stops
     */
    public function __construct(
        private readonly Terms $terms,
        private readonly Layout $layout,
        private readonly Run $run,
        array $before,
        array $surfaces,
        array $corners,
        private readonly Marks $marks,
    ) {
        $this->frame = $terms->room->frame($run->wall)->facing((new FacesMet($terms, $run))->among($surfaces));
        $this->gaps = new GapReader($terms, $this->frame);
        $this->depth = $this->depth();
        $this->ends = new Ends($this->frame, $run, $before, $surfaces, $corners, $this->depth->result->toDouble());
        $this->members = new MemberFitter($terms, $this->frame, $layout, $run, $this->ends);
        $this->foot = $this->members->hasPlinth() ? $terms->rule(Rule::PlinthHeight) : 0.0;
    }

    public function fit(): FittedRun
    {
        // The wall behind is looked at as high as it is: under a rake up to the high end.
        $length = $this->frame->length();
        $top = max(1.0, $this->frame->ceilingAt(0.0, 0.0), $this->frame->ceilingAt($length, 0.0));
        $this->back = $this->frame->backBulge(0.0, $length, 0.0, $top);
        if ($this->terms->rules->skirtingStays && $this->frame->skirtingThickness() > 0.0) {
            $this->back = max($this->back, $this->frame->backBulge(0.0, $length, 0.0, $this->frame->skirtingTop()) + $this->frame->skirtingThickness() + $this->terms->rule(Rule::NotchPlay));
        }
        $this->depth = $this->run->depth === null && $this->back > 0.0
            ? $this->asMade($this->depth->minus('clear of the wall behind', Length::ofDouble($this->back)))
            : $this->depth;
        $reserves = $edges = [];
        $round = 0;
        do {
            $run = $this->round($reserves);
            $fitter = new EdgeFitter($this->terms, $this->gaps, $this->layout, $this->ends);
            $edges = $fitter->edges($run, $round < self::ROUNDS - 1 ? [] : $edges);
            $asked = $fitter->reserves($edges);
            $isNew = array_diff_key($asked, $reserves) !== [];
            $reserves += $asked;
        } while ($isNew && ++$round < self::ROUNDS);

        return $run->with($edges, [...$run->findings, ...$this->findings()]);
    }

    private function depth(): Working
    {
        if ($this->run->depth !== null) {
            return Working::start('depth as chosen', $this->run->depth);
        }

        return $this->asMade($this->upToTheFront()->atMost('as deep as a box is made unless you choose', $this->terms->rules->get(Rule::UsualDepth)));
    }

    /** A depth as it is made; nothing where there is no room before the wall. */
    private function asMade(Working $depth): Working
    {
        return $depth->roundedDown($this->terms->format)->atLeast('there is no room before this wall', Length::zero());
    }

    private function upToTheFront(): Working
    {
        return Working::start('shallowest side of the space', Length::ofDouble($this->frame->mouth()))
            ->minus('set back from the front line', $this->terms->rules->get(Rule::FrontSetback))
            ->minus('doubt of the depth, 95 %', Length::ofDouble(Normal::ONE_SIDED_95 * $this->frame->mouthSigma()));
    }

    private function face(): float
    {
        return $this->back + $this->depth->result->toDouble();
    }

    /** @param array<string, float> $reserves by edge */
    private function round(array $reserves): FittedRun
    {
        $headroom = new Headroom($this->terms, $this->frame, $this->back, $this->face());
        [$span, $width, $left, $right, $reserved] = $this->width($headroom, $reserves);
        $groups = $this->run->groups();
        $board = $this->terms->materials->carcass->thickness;
        $across = $this->divided($width, $groups, $left, $board);
        $maker = new BoxMaker($this->terms, $headroom, $this->marks, $this->depth, $this->back, $this->members->worktops(), $this->members->opened());
        $u = $left + ($this->ends->isWall('left') && $this->ends->isWall('right') ? $across->left->toDouble() / 2 : 0.0);
        $start = $u;
        $bays = $fittedGroups = [];
        foreach ($groups as $g => $group) {
            $outer = $across->outer($g, $board);
            $fitted = $this->bays($group, $across->sizes[$g], $outer, $u, $headroom, $reserves);
            $fittedGroups[] = [$fitted, $outer];
            array_push($bays, ...$fitted);
            $u += $outer->result->toDouble();
        }
        $leads = [];
        foreach ($groups as $group) {
            foreach (array_slice($group, 1) as $bay) {
                $leads[$bay->id] = $group[0]->id;
            }
        }
        $divisions = (new TierDivider($this->terms, $this->members->worktops()))->divide($bays, $leads);
        foreach ($fittedGroups as [$fitted, $outer]) {
            $maker->place($fitted, $outer, $divisions, $this->foot);
        }
        $decided = Working::start('bays together', Length::ofDouble($u - $start));
        $members = $this->members->fitted($maker->boxes, $maker->cells, $headroom, $this->back, $this->face(), [$start, $u], $this->marks);
        $findings = [...$maker->findings, ...$this->overfull($across, $divisions), ...$members->findings, ...TierDivider::findings($bays)];

        return new FittedRun($this->run, $this->frame, $this->ends, $span, $decided, $this->depth, $start, $u, $reserved, $bays, $maker->cells, $maker->boxes, $members->members, $members->shelves, [], $findings);
    }

    /**
     * The width of all bays together: the clear span along the whole path, less allowances and doubt, and what the closings
     * at the ends ask for.
     *
     * @param  array<string, float>  $reserves
     * @return array{ClearSpan, Working, float, float, float} the span, the width unrounded, u of both ends, and what was kept free
     */
    private function width(Headroom $headroom, array $reserves): array
    {
        $length = $this->frame->length();
        $first = $this->run->bays[0];
        $last = $this->run->bays[count($this->run->bays) - 1];
        $share = $length / max(1, count($this->run->bays));
        $lift = $this->foot + $this->terms->rule(Rule::TopAllowance);
        $tops = [];
        foreach ([[$first, 0.0, min($share, $length), 0], [$last, max(0.0, $length - $share), $length, 1]] as [$bay, $from, $to, $end]) {
            $height = $this->run->height ?? $this->upTo($headroom, $bay, $from, $to, $reserves)[$end]->result;
            $tops[] = max($lift + 1.0, $lift + $height->toDouble());
        }
        $path = new Path(0.0, $this->slideFrom(), 0.0, $tops[0], $tops[1]);
        $span = $this->terms->room->span($this->frame, $path, $this->terms->rules->skirtingStays);
        $working = Working::start(sprintf('clear span, binding at %s high left and %s high right', $this->terms->write($span->leftHeight), $this->terms->write($span->rightHeight)), Length::ofDouble($span->width));
        [$left, $right] = [$span->left, $span->right];
        foreach (['left' => [$this->ends->leftStop, $this->ends->leftDoubt], 'right' => [$this->ends->rightStop, $this->ends->rightDoubt]] as $side => [$stop, $doubt]) {
            if ($stop !== null) {
                $less = max(0.0, $side === 'left' ? $stop - $left : $right - $stop);
                $working = $working
                    ->minus("what {$this->ends->stopsAt($side)} takes at the $side", Length::ofDouble($less));
                $working = $doubt > 0.0 ? $working->minus('doubt of the wall behind that run, 95 %', Length::ofDouble($doubt)) : $working;
                $side === 'left' ? $left += $less + $doubt : $right -= $less + $doubt;
            }
        }
        $allowance = $this->terms->rules->get(Rule::SideAllowance);
        foreach (['left', 'right'] as $side) {
            if (! $this->frame->isOpen($side)) {
                $working = $working->minus("allowance $side", $allowance);
                $side === 'left' ? $left += $allowance->toDouble() : $right -= $allowance->toDouble();
            }
        }
        foreach (['left', 'right'] as $side) {
            $panel = $this->members->panelAt($side);
            if ($panel > 0.0) {
                $working = $working->minus("end panel $side", Length::ofDouble($panel));
                $side === 'left' ? $left += $panel : $right -= $panel;
            }
        }
        [$tools, $plaster] = $this->terms->room->sharesOfDoubt($span);
        foreach (['left', 'right'] as $side) {
            $working = $plaster > 0.0
                ? $working->minus("doubt $side of tape and level, 95 %", Length::ofDouble($tools / 2))->minus("and of the plaster $side", Length::ofDouble($plaster / 2))
                : $working->minus("doubt $side, 95 %", Length::ofDouble($tools / 2));
            $side === 'left' ? $left += $span->doubt / 2 : $right -= $span->doubt / 2;
        }
        $kept = 0.0;
        foreach ([Side::Left, Side::Right] as $side) {
            $reserve = $reserves[$side->value] ?? null;
            if ($reserve === null) {
                continue;
            }
            $limit = $this->gaps->wallLimit($side, $this->face(), $this->foot, $tops[$side === Side::Left ? 0 : 1] - $this->terms->rule(Rule::TopAllowance));
            $wanted = $side === Side::Left ? $limit + $reserve - $left : $right - ($limit - $reserve);
            if ($wanted > 0) {
                $working = $working->minus('kept free for the closing at the '.$side->value, Length::ofDouble($wanted));
                $kept += $wanted;
                $side === Side::Left ? $left += $wanted : $right -= $wanted;
            }
        }

        return [$span, $working, $left, $right, $kept];
    }

    /**
     * How far out the run's way home begins: at the mouth, where one box fills the run; boxes side by side come in one by one,
     * and are together only from their own depth in front of their place on.
     */
    private function slideFrom(): float
    {
        $mouth = max($this->face(), $this->frame->mouth());

        return count($this->run->groups()) > 1 ? min($mouth, 2 * $this->face()) : $mouth;
    }

    /**
     * Divides the run among its bays; a bay that snaps to something on the wall ends there.
     *
     * @param  list<non-empty-list<Bay>>  $groups
     */
    private function divided(Working $width, array $groups, float $left, Length $board): Division
    {
        $sizes = array_map(fn (array $group) => array_map(fn (Bay $bay) => $bay->size, $group), $groups);
        $divided = Division::of($width, $sizes, $board, $this->terms->format);
        $u = $left;
        foreach ($groups as $g => $group) {
            $snap = count($group) === 1 ? $this->snapped($group[0]) : null;
            $own = $divided->outer($g, $board)->result;
            if ($snap !== null && $snap - $u > 2 * $board->toDouble()) {
                for ($before = 0; $before < $g; $before++) {
                    foreach ($divided->sizes[$before] as $i => $size) {
                        $sizes[$before][$i] = Size::fixed($size->result);
                    }
                }
                $sizes[$g] = [Size::fixed(Length::ofDouble($snap - $u)->rounded($this->terms->format->step))];
                $divided = Division::of($width, $sizes, $board, $this->terms->format);
                $own = $divided->outer($g, $board)->result;
            }
            $u += $own->toDouble();
        }

        return $divided;
    }

    /** Where the thing lies with which a bay's right side lines up: a stud's centre line, or a thing's nearer edge; u, mm. */
    private function snapped(Bay $bay): ?float
    {
        foreach ($bay->snap === null ? [] : $this->terms->room->things as $thing) {
            if ($thing->id === $bay->snap && $thing->wall === $this->run->wall) {
                $left = $thing->left($this->frame->length());

                return $thing->kind === ThingKind::Stud ? $left + $thing->width / 2 : $left - max($thing->clearance, $this->terms->rule(Rule::SideAllowance));
            }
        }

        return null;
    }

    /**
     * @param  non-empty-list<Bay>  $group
     * @param  array<int, Working>  $sizes
     * @param  array<string, float>  $reserves
     * @return non-empty-list<FittedBay>
     */
    private function bays(array $group, array $sizes, Working $outer, float $u, Headroom $headroom, array $reserves): array
    {
        $end = $u + $outer->result->toDouble();
        $heights = $this->upTo($headroom, $group[0], $u, max($u + 1.0, $end), $reserves);
        if ($this->run->height !== null) {
            $chosen = Working::start('height as chosen', $this->run->height);
            $heights = [$chosen, $chosen, $heights[2]->result->isLessThan($this->run->height) ? $heights[2] : $chosen];
        }
        $board = $this->terms->board();
        $x = $u + (count($group) > 1 ? $board : 0.0);
        $bays = [];
        foreach ($group as $i => $bay) {
            $wide = $sizes[$i]->result->toDouble();
            $bays[] = new FittedBay($bay, $x, $x + $wide, $sizes[$i], ...$heights);
            $x += $wide + $board;
        }

        return $bays;
    }

    /**
     * How high a bay may be at its left, its right and its back. Flat bays of a run are all as high as the lowest, so that
     * their tops line up.
     *
     * @param  array<string, float>  $reserves
     * @return array{Working, Working, Working}
     */
    private function upTo(Headroom $headroom, Bay $bay, float $from, float $to, array $reserves): array
    {
        $length = $this->frame->length();
        $reserve = isset($reserves[Side::Top->value]) ? Length::ofDouble($reserves[Side::Top->value]) : null;
        $isFlat = $bay->top === TopForm::Below || (! $headroom->isRaked(0.0, $length) && ! $headroom->isSloped(0.0, $length));
        $heights = $isFlat
            ? $headroom->heights(TopForm::Below, min($from, max(0.0, $this->frame->leftAt(0.0, 0.0))), max($to, $length), $this->foot, $reserve)
            : $headroom->heights($bay->top, $from, $to, $this->foot, $reserve);
        // A bay that is one box from foot to top must be stood up whole.
        if (count($bay->stacks()) === 1 && $bay->isAllBoxes()) {
            [$label, $limit] = $headroom->tilted($this->bodyDepth());
            $heights = array_map(fn (Working $height) => $height->atMost($label, $limit), $heights);
        }

        return array_map(fn (Working $height) => $height->roundedDown($this->terms->format), $heights);
    }

    /** The depth of a rigid box that is carried in, in mm: the face frame goes on afterwards. */
    private function bodyDepth(): float
    {
        return $this->depth->result->minus($this->terms->frame())->toDouble();
    }

    /**
     * @param  array<string, Division>  $divisions
     * @return list<Finding>
     */
    private function overfull(Division $across, array $divisions): array
    {
        $findings = [];
        if ($across->over->isPositive() || $this->isNothingLeft($across)) {
            $fixed = count($this->run->bays) === 1 ? $this->run->bays[0]->size->fixed : null;
            $findings[] = Finding::clash(Code::RunOverfull, $fixed === null
                ? sprintf('The bays ask for %s more than the run has.', $this->terms->format->write($across->over->roundedUp($this->terms->format->step)))
                : sprintf('The box jams between the walls: its width is %s, and %s is the most that goes.', $this->terms->format->write($fixed), $this->terms->format->write($fixed->minus($across->over)->roundedDown($this->terms->format->step))), $this->run->id)
                ->about(array_map(fn (Bay $bay) => $bay->id, $this->run->bays));
        }
        foreach ($this->run->bays as $bay) {
            if ($divisions[$bay->id]->over->isPositive()) {
                $findings[] = Finding::clash(Code::BayOverfull, sprintf('The tiers of this bay ask for %s more than its height has.', $this->terms->format->write($divisions[$bay->id]->over->roundedUp($this->terms->format->step))), $bay->id);
            }
        }

        return $findings;
    }

    private function isNothingLeft(Division $across): bool
    {
        foreach ($across->sizes as $group) {
            foreach ($group as $size) {
                if (! $size->result->isPositive()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Finding> chosen sizes that do not go */
    private function findings(): array
    {
        $findings = [];
        $deepest = $this->upToTheFront()->minus('clear of the wall behind', Length::ofDouble($this->back))->roundedDown($this->terms->format)->result;
        foreach ($this->run->bays as $bay) {
            foreach ($bay->tiers as $tier) {
                if ($tier->depth?->isGreaterThan($deepest) === true) {
                    $findings[] = Finding::clash(Code::TierDepth, sprintf('This tier stands out in front of the space: its depth is %s, and %s is the most that goes.', $this->terms->format->write($tier->depth), $this->terms->format->write($deepest)), $tier->id)
                        ->withWaysOut([new WayOut('As deep as the run', Edits::tier($tier->id)->with('depth', null))]);
                }
            }
        }
        if ($this->run->depth?->isGreaterThan($deepest) === true) {
            $findings[] = Finding::clash(Code::RunDepth, sprintf('The run stands out in front of the space: its depth is %s, and %s is the most that goes.', $this->terms->format->write($this->run->depth), $this->terms->format->write($deepest)), $this->run->id);
        }

        return $findings;
    }
}
