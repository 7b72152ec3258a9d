<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\BedGuard;

/**
 * What a bed between walls asks of the room round it besides what its mattress does: a guard where one falls far, and studs for its
 * ledgers. Figures of safety defer to local standards.
 */
final readonly class BedRoom
{
    /** A deck higher than this wants a guard, mm. */
    public const HIGH = 700.0;

    public function __construct(private BedSizes $sizes, private Lying $lying)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...(new MattressRoom($this->lying))->findings(), ...$this->guarded(), ...$this->behind(), ...$this->studs(), ...$this->legs()];
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

    /** @return list<Finding> */
    private function guarded(): array
    {
        $s = $this->sizes;
        if ($s->deck <= self::HIGH) {
            return [];
        }
        $child = Finding::note(Code::BedHigh, 'A bed as high as this is for nobody under six, wants a guard on every open side, a light that one reaches, and no lamp, fan or window within reach of a fall. The mattress may be no thicker than it was reckoned with. Local standards go first.', $this->tier());

        $open = $s->bed->canopy ? [] : $s->site->openEnds($s->deck, $this->lying->top() + $s->bed->over->toDouble());
        $open = [...array_map(fn (string $end) => "$end end", $open), ...($s->bed->off->isZero() ? [] : ['back'])];
        $ends = array_map(fn (string $end) => Finding::clash(Code::GuardMissing, sprintf('One falls from the %s of this bed: neither a wall nor anything as high as a guard stands there.', $end), $this->tier())
            ->withWaysOut([new WayOut(sprintf('Its deck %s high', $s->site->terms->format->write($this->low())), Edits::tier($this->tier())->measuring('with.deck', $this->low()))]), $open);

        return $s->bed->guard !== BedGuard::None ? [$child, ...$ends] : [$child, ...$ends, Finding::clash(Code::GuardMissing, sprintf('One falls %s from this bed; it has no guard.', $s->site->terms->write($this->lying->top())), $this->tier())
            ->withWaysOut([new WayOut('A guard with the way in at the right', $this->setting(['guard' => BedGuard::EntryRight->value])), new WayOut('A guard with the way in at the left', $this->setting(['guard' => BedGuard::EntryLeft->value]))])];
    }

    /** The highest deck from which no fall is guarded. */
    private function low(): Length
    {
        return $this->sizes->site->terms->rules->either(self::HIGH, 27.5);
    }

    /** @return list<Finding> a gap behind it that holds a head */
    private function behind(): array
    {
        $off = $this->sizes->bed->off;

        return ! MattressRoom::isTrap($off->toDouble()) ? [] : [Finding::warning(Code::BedGapTrap, sprintf('Behind the bed %s are open: a gap of 75 to 230 mm holds a child’s head. Let it stand at the wall, or further from it; local standards go first.', $this->sizes->site->terms->format->write($off)), $this->tier())
            ->withWaysOut([new WayOut('Let it stand at the wall', Edits::tier($this->tier())->measuring('with.off', Length::zero()))])];
    }

    /** @return list<Finding> a ledger that meets fewer than two studs holds nobody */
    private function studs(): array
    {
        $s = $this->sizes;
        $cell = $s->site->cell;
        $studs = array_column((new ThingPlace($s->site->terms->room, $s->site->run->frame))->onItsWall(ThingKind::Stud), 1);
        $known = count($studs);
        $met = count(array_filter($studs, fn (Block $stud) => $stud->u0 > $cell->u + 20.0 && $stud->u1 < $cell->end() - 20.0));

        return match (true) {
            ! $s->bed->off->isZero(), $s->site->terms->madeOf($s->site->run->frame->wall)?->hasStuds() === false => [],
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
