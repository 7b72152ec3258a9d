<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\BoxBack;
use Incastro\Units\Assembly;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Solid strips before the back, through which a box is fixed to studs: in every column one at its head and one at its foot,
 * between the boards that stand there.
 */
final readonly class Nailers
{
    /** @var list<array<string, array{float, float}>> by column and "top" or "bottom": foot over the box's foot, and width, mm */
    private array $places;

    private float $v;

    public function __construct(private Box $box, private Terms $terms, private Behind $behind)
    {
        $this->v = $box->v + $behind->inner->toDouble();
        // A thick back between the boards is one nailer itself, and so is the ring of a passage.
        $hasNone = $behind->school === BoxBack::Inset || $box->option(LeavesBackOut::class)?->isPassage() === true;
        $this->places = array_map(fn (int $c) => $hasNone ? [] : $this->inColumn($c), array_keys($box->columns));
    }

    public function build(Workshop $make, BoxShell $shell): Assembly
    {
        $joining = BoxJoints::of($this->terms, $this->box);
        $placed = $joints = [];
        foreach ($this->places as $c => $places) {
            $column = $this->box->columns[$c];
            $isAlone = count($this->box->columns) === 1;
            $length = $isAlone ? $shell->betweenSides() : Working::start('clear width of the bay', $column->width->result);
            foreach ($places as $at => [$z, $wide]) {
                $width = Working::start('nailer width', $this->terms->rules->get(Rule::NailerWidth))->atMost('clear height of the opening', Length::ofDouble($wide));
                $maker = $isAlone ? $make : $make->of($column->openings[0]->tierId);
                $piece = $maker->inner("nailer-$at", 'Nailer', $length, $width, Purpose::Carcass, Grain::Length, [], [$joining->buttWords().'; the box is fixed to studs through it'], null, $isAlone ? null : sprintf('nailer-%s-%d', $at, $c + 1));
                $placed[] = new Placed($piece, Pose::at($this->box->u + $column->x, $this->v, $this->box->z + $z, Way::Right, Way::Up, Way::Out), Part::Nailer, $this->box->id);
                foreach ($shell->beside($c) as $side) {
                    $joints[] = $joining->butt($piece->key, $side, 'nailers to the sides');
                }
            }
        }

        return new Assembly($placed, $joints);
    }

    /** Whether a nailer of a column stands between two heights over the box's foot. */
    public function meets(int $column, float $from, float $to): bool
    {
        return $this->between($column, $from, $to) !== [];
    }

    /**
     * Those of a column that stand between two heights over the box's foot.
     *
     * @return list<array{float, float}> from and to
     */
    public function between(int $column, float $from, float $to): array
    {
        $between = [];
        foreach ($this->places[$column] as [$z, $wide]) {
            if ($z < $to - 1e-6 && $z + $wide > $from + 1e-6) {
                $between[] = [$z, $z + $wide];
            }
        }

        return $between;
    }

    /** @return array<string, array{float, float}> */
    private function inColumn(int $c): array
    {
        $openings = $this->box->columns[$c]->openings;
        $tall = $this->terms->rule(Rule::NailerWidth);
        $heads = array_map(fn (int $i) => $this->head($c, $i), array_keys($openings));
        $top = $this->firstWith($openings, $heads, $tall, true);
        $bottom = $this->firstWith($openings, $heads, $tall, false);
        if ($bottom === null || $top === null) {
            // Nowhere is room for a whole one: the tallest opening gets what goes.
            $clear = array_map(fn (int $i) => $heads[$i] - $openings[$i]->z, array_keys($openings));
            $i = (int) array_search(max($clear), $clear, true);

            return $clear[$i] < $this->terms->board() ? [] : ['bottom' => [$openings[$i]->z, min($tall, $clear[$i])]];
        }
        if ($this->isOpenAtFoot()) {
            return ['top' => [$heads[$top] - $tall, $tall]];
        }
        $isOne = $heads[$top] - $tall < $openings[$bottom]->z + $tall + 2 * $this->terms->board();

        return $isOne ? ['bottom' => [$openings[$bottom]->z, $tall]] : ['top' => [$heads[$top] - $tall, $tall], 'bottom' => [$openings[$bottom]->z, $tall]];
    }

    /** Whether nothing stands at its foot behind: something rolls in there. */
    private function isOpenAtFoot(): bool
    {
        foreach ($this->box->columns as $column) {
            foreach ($column->openings[0]->options as $option) {
                if ($option->holds instanceof LeavesBottomOut && ! $option->holds->hasStrip()) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The first opening, from the top or from the bottom, that is at least so high.
     *
     * @param  non-empty-list<Opening>  $openings
     * @param  list<float>  $heads
     */
    private function firstWith(array $openings, array $heads, float $tall, bool $fromTop): ?int
    {
        $order = array_keys($openings);
        foreach ($fromTop ? array_reverse($order) : $order as $i) {
            if ($heads[$i] - $openings[$i]->z >= $tall) {
                return $i;
            }
        }

        return null;
    }

    /** How high an opening is free at its back, over the box's foot, mm: the last one reaches up to the top. */
    private function head(int $c, int $i): float
    {
        $column = $this->box->columns[$c];
        $opening = $column->openings[$i];
        $head = $opening->z + $opening->height->result->toDouble();
        $top = $this->box->top;
        if ($i === count($column->openings) - 1 && $this->box->hasStretcher()) {
            return $head + $this->terms->board();
        }
        if ($i < count($column->openings) - 1 || ! ($top->isSloped() || $top->isRaked())) {
            return $head;
        }
        $plumb = $this->terms->board() / cos($top->angle($this->box->outerWidth()->toDouble()));
        $at = fn (float $u): float => $this->box->topAt($u, $this->v) - $this->box->z - $plumb;
        $left = $this->box->u + $column->x;

        return min($head, $at($left), $at($left + $column->width->result->toDouble()));
    }
}
