<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Path;

/**
 * What a mattress asks of the room round it: to go in between the walls over all its height, air over it to sit up and to turn, and no
 * gap beside it that holds a head. Figures of safety defer to local standards.
 */
final readonly class MattressRoom
{
    /** Over the mattress: to sit up, and to lie and turn; mm and inches. */
    private const SITS = [900.0, 36.0];

    private const TURNS = [600.0, 24.0];

    /** The same over a bed that is climbed to. */
    private const TURNS_HIGH = [750.0, 30.0];

    /** Under a slope this share of it is enough at the low side. */
    private const LOW_SIDE = 0.4;

    /** A gap between mattress and wall that holds a head, mm. */
    private const TRAP = [75.0, 230.0];

    /** A deck lower than this is none, mm. */
    private const LOWEST = 200.0;

    public function __construct(private Lying $lying)
    {
    }

    /** Whether a gap beside a mattress holds a child's head. */
    public static function isTrap(float $gap): bool
    {
        return $gap > self::TRAP[0] && $gap < self::TRAP[1];
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return [...$this->jams(), ...$this->air(), ...$this->trap()];
    }

    private function setting(string $name, float $mm): Edit
    {
        return $this->lying->unit->setting([$name => ['nm' => Length::ofDouble($mm)->nanometres(), 'typed' => '']]);
    }

    /** @return list<Finding> walls lean: what is clear is the least over the height of the mattress */
    private function jams(): array
    {
        $l = $this->lying;
        $write = $l->terms->write(...);
        $span = $l->run->frame->span(new Path($l->back, $l->face, $l->deck, $l->top()));
        $across = min($l->from + $l->long, $span->left + $span->width) - max($l->from, $span->left);
        $play = $l->play->toDouble();
        $short = max($l->alongU->toDouble() + $play - $across, $l->alongV->toDouble() + $play - $l->deep);
        if ($short <= 0.5) {
            return [];
        }
        $ways = $short <= $play - 5.0 ? [new WayOut(sprintf('With %s of play', $write(floor($play - $short))), $this->setting('play', floor($play - $short)))] : [];

        return [Finding::clash(Code::MattressJams, sprintf('The mattress and its play take %s by %s; %s by %s are clear over its height.', $write($l->alongU->toDouble() + $play), $write($l->alongV->toDouble() + $play), $write($across), $write($l->deep)), $l->id)
            ->withWaysOut([...$ways, new WayOut($l->isAcross ? 'Let it lie along the wall' : 'Let it lie across', $l->unit->setting(['across' => ! $l->isAcross])), $l->away])];
    }

    /** @return list<Finding> under a slope one turns where it is low, and sits where it is high */
    private function air(): array
    {
        $l = $this->lying;
        $rules = $l->terms->rules;
        $frame = $l->run->frame;
        $end = $l->from + $l->long;
        $corners = [];
        foreach ([$l->from, ($l->from + $end) / 2, $end] as $u) {
            array_push($corners, $frame->ceilingAt($u, $l->back), $frame->ceilingAt($u, $l->face));
        }
        $over = min($corners) - $l->top();
        $most = max(array_map(fn (float $u) => $frame->ceilingAt($u, $l->face), [$l->from, $end])) - $l->top();
        $least = $rules->either(...($l->deck > BedRoom::HIGH ? self::TURNS_HIGH : self::TURNS));
        $sits = $rules->either(...self::SITS);
        $write = $l->terms->write(...);
        $lower = function (Length $wanted) use ($l, $over, $write): array {
            $deck = floor($l->deck - ($wanted->toDouble() - $over));

            return $deck < self::LOWEST ? [] : [new WayOut(sprintf('Its deck %s high', $write($deck)), $this->setting('deck', $deck))];
        };

        return match (true) {
            $most < $least->toDouble() || $over < self::LOW_SIDE * $least->toDouble() => [Finding::clash(Code::BedAir, sprintf('Over the mattress %s are left, %s at the low side; to lie and turn takes %s.', $write(max(0.0, $most)), $write(max(0.0, $over)), $l->terms->format->write($least)), $l->id)->withWaysOut([...$lower($least), $l->away])],
            $most < $sits->toDouble() => [Finding::warning(Code::BedAir, sprintf('Over the mattress %s are left: nobody sits up there, which takes %s.', $write($most), $l->terms->format->write($sits)), $l->id)->withWaysOut($lower($sits))],
            default => [],
        };
    }

    /** @return list<Finding> */
    private function trap(): array
    {
        $l = $this->lying;
        foreach (['beside' => $l->long - $l->alongU->toDouble(), 'behind' => $l->deep - $l->alongV->toDouble()] as $where => $gap) {
            if (self::isTrap($gap)) {
                return [Finding::warning(Code::BedGapTrap, sprintf('Pushed to one side, the mattress leaves %s open %s it: a gap of 75 to 230 mm holds a child’s head. Fill it, or choose another mattress; local standards go first.', $l->terms->write($gap), $where), $l->id)->withWaysOut([new WayOut('Fill it with boards', $l->unit->setting(['filler' => true]))])];
            }
        }

        return [];
    }
}
