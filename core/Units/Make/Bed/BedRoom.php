<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Fit\ThingPlace;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Path;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\BedGuard;

/**
 * What a bed asks of the room round it: its mattress between the walls over all its height, air to sit up, no gap that holds a head,
 * a guard where one falls far, and studs for its ledgers. Figures of safety defer to local standards.
 */
final readonly class BedRoom
{
    /** Over the mattress: to sit up, and to lie and turn; mm and inches. */
    private const SITS = [900.0, 36.0];

    private const TURNS = [600.0, 24.0];

    /** The same over a bed that is climbed to. */
    private const TURNS_HIGH = [750.0, 30.0];

    /** A gap between mattress and wall that holds a head, mm. */
    private const TRAP = [75.0, 230.0];

    /** A deck higher than this wants a guard, mm. */
    private const HIGH = 700.0;

    public function __construct(private BedSizes $sizes)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...$this->jams(), ...$this->air(), ...$this->trap(), ...$this->guarded(), ...$this->studs(), ...$this->legs()];
    }

    /** @param array<string, mixed> $with */
    private function setting(array $with): Edit
    {
        return Edits::tier($this->sizes->site->cell->tier->id)->setting($with);
    }

    private function tier(): string
    {
        return $this->sizes->site->cell->tier->id;
    }

    private function top(): float
    {
        return $this->sizes->deck + $this->sizes->bed->thickness->toDouble();
    }

    /** @return list<Finding> walls lean: what is clear is the least over the height of the mattress */
    private function jams(): array
    {
        $s = $this->sizes;
        $write = $s->site->terms->write(...);
        [$wide, $long] = $s->bed->mattressSize();
        $cell = $s->site->cell;
        $span = $s->site->run->frame->span(new Path($cell->back, $cell->face, $s->deck, $this->top()));
        $across = min($s->from() + $s->pu, $span->left + $span->width) - max($s->from(), $span->left);
        [$alongU, $alongV] = $s->bed->across ? [$wide, $long] : [$long, $wide];
        $play = $s->bed->play->toDouble();
        $short = max($alongU->toDouble() + $play - $across, $alongV->toDouble() + $play - $s->freeDeep());
        if ($short <= 0.5) {
            return [];
        }
        $ways = $short <= $play - 5.0 ? [new WayOut(sprintf('With %s of play', $write(floor($play - $short))), $this->setting(['play' => ['nm' => Length::ofDouble(floor($play - $short))->nanometres(), 'typed' => '']]))] : [];

        return [Finding::clash(Code::MattressJams, sprintf('The mattress and its play take %s by %s; %s by %s are clear over its height.', $write($alongU->toDouble() + $play), $write($alongV->toDouble() + $play), $write($across), $write($s->freeDeep())), $this->tier())
            ->withWaysOut([...$ways, new WayOut($s->bed->across ? 'Let it lie along the wall' : 'Let it lie across', $this->setting(['across' => ! $s->bed->across])), new WayOut('Leave an open gap instead', Edits::tier($this->tier())->emptied())])];
    }

    /** @return list<Finding> */
    private function air(): array
    {
        $s = $this->sizes;
        $rules = $s->site->terms->rules;
        $cell = $s->site->cell;
        $frame = $s->site->run->frame;
        $corners = [];
        foreach ([$cell->u, ($cell->u + $cell->end()) / 2, $cell->end()] as $u) {
            array_push($corners, $frame->ceilingAt($u, $cell->back), $frame->ceilingAt($u, $cell->face));
        }
        $over = min($corners) - $this->top();
        $most = max(array_map(fn (float $u) => $frame->ceilingAt($u, $cell->face), [$cell->u, $cell->end()])) - $this->top();
        $least = $rules->either(...($s->deck > self::HIGH ? self::TURNS_HIGH : self::TURNS));
        $sits = $rules->either(...self::SITS);
        $write = $s->site->terms->write(...);
        // Under a slope one turns where it is low, and sits where it is high.
        $lower = fn (Length $wanted): array => $s->deck - ($wanted->toDouble() - $over) < 200.0 ? [] : [new WayOut(sprintf('Its deck %s high', $write(floor($s->deck - ($wanted->toDouble() - $over)))), $this->setting(['deck' => ['nm' => Length::ofDouble(floor($s->deck - ($wanted->toDouble() - $over)))->nanometres(), 'typed' => '']]))];

        return match (true) {
            $most < $least->toDouble() || $over < 0.4 * $least->toDouble() => [Finding::clash(Code::BedAir, sprintf('Over the mattress %s are left, %s at the low side; to lie and turn takes %s.', $write(max(0.0, $most)), $write(max(0.0, $over)), $s->site->terms->format->write($least)), $this->tier())->withWaysOut([...$lower($least), new WayOut('Leave an open gap instead', Edits::tier($this->tier())->emptied())])],
            $most < $sits->toDouble() => [Finding::warning(Code::BedAir, sprintf('Over the mattress %s are left: nobody sits up there, which takes %s.', $write($most), $s->site->terms->format->write($sits)), $this->tier())->withWaysOut($lower($sits))],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function trap(): array
    {
        $s = $this->sizes;
        [$wide, $long] = $s->bed->mattressSize();
        $write = $s->site->terms->write(...);
        foreach ([['beside', $s->pu - ($s->bed->across ? $wide : $long)->toDouble()], ['behind', $s->freeDeep() - ($s->bed->across ? $long : $wide)->toDouble()]] as [$where, $gap]) {
            if ($gap > self::TRAP[0] && $gap < self::TRAP[1]) {
                return [Finding::warning(Code::BedGapTrap, sprintf('Pushed to one side, the mattress leaves %s open %s it: a gap of 75 to 230 mm holds a child’s head. Fill it with a board on edge, or choose another mattress; local standards go first.', $write($gap), $where), $this->tier())];
            }
        }

        return [];
    }

    /** @return list<Finding> */
    private function guarded(): array
    {
        $s = $this->sizes;
        if ($s->deck <= self::HIGH) {
            return [];
        }
        $child = Finding::note(Code::BedHigh, 'A bed as high as this is for nobody under six, wants a guard on every open side, a light that one reaches, and no lamp, fan or window within reach of a fall. The mattress may be no thicker than it was reckoned with. Local standards go first.', $this->tier());

        return $s->bed->guard !== BedGuard::None ? [$child] : [$child, Finding::clash(Code::GuardMissing, sprintf('One falls %s from this bed; it has no guard.', $s->site->terms->write($this->top())), $this->tier())
            ->withWaysOut([new WayOut('A guard with the way in at the right', $this->setting(['guard' => BedGuard::EntryRight->value])), new WayOut('A guard with the way in at the left', $this->setting(['guard' => BedGuard::EntryLeft->value]))])];
    }

    /** @return list<Finding> a ledger that meets fewer than two studs holds nobody */
    private function studs(): array
    {
        $s = $this->sizes;
        $cell = $s->site->cell;
        $frame = $s->site->run->frame;
        $places = new ThingPlace($s->site->terms->room, $frame);
        $known = $met = 0;
        foreach ($s->site->terms->room->things as $thing) {
            if ($thing->kind === ThingKind::Stud && $thing->face === Face::Wall && $thing->wall === $frame->wall) {
                $block = $places->block($thing);
                $known++;
                $met += $block->u0 > $cell->u + 20.0 && $block->u1 < $cell->end() - 20.0 ? 1 : 0;
            }
        }

        return match (true) {
            $known === 0 => [Finding::note(Code::NoStud, sprintf('Find the studs behind the bed and note them: its ledgers are reckoned with one every %s. Into masonry take frame plugs every %1$s.', $s->site->terms->write(400.0)), $this->tier())],
            $met < 2 => [Finding::clash(Code::TooFewStuds, sprintf('The back ledger meets %s; it takes two. Screw a board across three studs first, and the ledger to that.', $met === 0 ? 'no stud' : 'one stud'), $this->tier())->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($this->tier())->emptied())])],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function legs(): array
    {
        return $this->sizes->railsHold() ? [] : [Finding::clash(Code::DrawerMeetsLeg, 'The rails under the slats want more legs than stand between the drawers.', $this->tier())
            ->withWaysOut([new WayOut('No drawers below', $this->setting(['drawers' => false]))])];
    }
}
