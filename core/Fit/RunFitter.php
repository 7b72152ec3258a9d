<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Space\CeilingKind;

/**
 * Fits one box run along the back wall of an alcove: the deepest, tallest and widest box that goes in along its whole
 * path, less allowances and doubt, and the closing of what remains.
 */
final readonly class RunFitter
{
    /** Smaller than this in any direction, a box is not a box. */
    private const SMALLEST = 150;

    private ClosingTable $table;

    private GapReader $gaps;

    private RunFrame $frame;

    public function __construct(
        private Room $room,
        private Layout $layout,
        private HouseRules $rules,
        private Materials $materials,
        private LengthFormat $format,
        private int $number,
    ) {
        $this->table = new ClosingTable($rules, $format);
        $this->frame = $room->frame();
        $this->gaps = new GapReader($this->frame, $rules);
    }

    /** @throws NoRoom when nothing that deserves the name of a box goes in */
    public function fit(): FittedRun
    {
        $depth = $this->depth();
        // Widest and tallest first; then what the closings ask for is reserved, once; a closing that changed by it keeps
        // its second choice and gets its reserve too (handbook, "Closing a gap").
        $reserves = $edges = [];
        for ($round = 0; $round < 3; $round++) {
            $height = $this->height($depth, $reserves);
            $span = $this->span($height);
            [$width, $u] = $this->width($span, $height, $depth, $reserves);
            $cell = new Cell($this->layout->boxId, $this->number, $width, $height, $depth, $u, $this->rules->mm(Rule::PlinthHeight), $this->layout->fixedShelves, $this->layout->adjustableShelves);
            $this->refuseTooSmall($cell);
            $edges = $this->edges($cell, $round < 2 ? [] : $edges);
            $asked = $this->reserves($edges);
            if (array_diff_key($asked, $reserves) === []) {
                break;
            }
            $reserves += $asked;
        }

        return new FittedRun($cell, $span, $this->plinthLength($cell), $this->rules->get(Rule::PlinthHeight), $this->plinthDepth($cell), $edges, $this->findings($cell, $span, $height, $depth));
    }

    private function depth(): Working
    {
        if ($this->layout->depth !== null) {
            return Working::start('depth as chosen', $this->layout->depth);
        }

        return $this->upToTheFront()
            ->atMost('as deep as a box is made unless you choose', $this->rules->get(Rule::UsualDepth))
            ->roundedDown($this->format);
    }

    private function deepest(): Working
    {
        return $this->upToTheFront()->roundedDown($this->format);
    }

    private function upToTheFront(): Working
    {
        return Working::start('shallowest side of the alcove', Length::ofDouble($this->frame->mouth()))
            ->minus('set back from the front line', $this->rules->get(Rule::FrontSetback))
            ->minus('doubt of the depth, 95 %', Length::ofDouble(Normal::ONE_SIDED_95 * $this->frame->mouthSigma()));
    }

    /** @param array<string, float> $reserves by edge */
    private function height(Working $depth, array $reserves): Working
    {
        return $this->layout->height !== null
            ? Working::start('height as chosen', $this->layout->height)
            : $this->tallest($depth, $reserves);
    }

    /**
     * Upright it must slide in over the plinth; before that it must be tilted up, with its side diagonal
     * √(H² + D²) + allowance ≤ the clear height where that is done (handbook, "Allowances").
     *
     * @param  array<string, float>  $reserves
     */
    private function tallest(Working $depth, array $reserves): Working
    {
        [$lowest, $sigmaAbove] = $this->frame->lowestCeiling($depth->result->toDouble());
        $working = Working::start('lowest clear height in the alcove', Length::ofDouble($lowest))
            ->minus('plinth, from the highest floor point', $this->rules->get(Rule::PlinthHeight));
        $top = $this->rules->get(Rule::TopAllowance);
        $reserve = Length::ofDouble($reserves[Edge::Top->value] ?? 0.0);
        $working = $reserve->isGreaterThan($top)
            ? $working->minus('kept free above for its closing', $reserve)
            : $working->minus('above, to lift it onto the plinth', $top);
        $working = $working->minus('doubt of the height, 95 %', Length::ofDouble(Normal::ONE_SIDED_95 * $sigmaAbove));
        [$ceiling, $sigma, $where] = match (true) {
            $this->room->heightInFront !== null => [$this->room->heightInFront, $this->room->heightInFrontSigma, 'in front'],
            // Under a slope it is stood up where the ceiling is high, at the front line.
            $this->room->shape->ceiling !== CeilingKind::Flat => [$this->frame->ceilingAt($this->frame->length() / 2, $this->frame->mouth()), $this->frame->ceilingSigmaAt($this->frame->length() / 2, $this->frame->mouth()), 'in front'],
            default => [$lowest, $sigmaAbove, 'in the alcove'],
        };
        $diagonal = $ceiling - $this->rules->mm(Rule::TiltAllowance) - Normal::ONE_SIDED_95 * $sigma;
        $side = $this->boxDepth($depth);
        $tilted = sqrt(max(0.0, $diagonal ** 2 - $side ** 2));

        return $working
            ->atMost(sprintf('tilted up %s: √((%.1f − %.1f − %.1f)² − %.1f²)', $where, $ceiling, $this->rules->mm(Rule::TiltAllowance), Normal::ONE_SIDED_95 * $sigma, $side), Length::ofDouble($tilted))
            ->roundedDown($this->format);
    }

    /** The depth of the rigid box that is carried in, in mm: the face frame goes on afterwards. */
    private function boxDepth(Working $depth): float
    {
        return $depth->result->minus($this->materials->frame->thickness)->toDouble();
    }

    /** The path runs from the floor, where the box is stood up, to the height to which it is lifted, mouth to back wall. */
    private function span(Working $height): ClearSpan
    {
        $top = $this->rules->mm(Rule::PlinthHeight) + $height->result->toDouble() + $this->rules->mm(Rule::TopAllowance);

        return $this->room->span($this->frame, new Path(0.0, $this->frame->mouth(), 0.0, $top), $this->rules->skirtingStays);
    }

    /**
     * @param  array<string, float>  $reserves
     * @return array{Working, float} the outer width, and u of the left side
     */
    private function width(ClearSpan $span, Working $height, Working $depth, array $reserves): array
    {
        $allowance = $this->rules->mm(Rule::SideAllowance);
        $left = $span->left + $allowance + $span->doubt / 2;
        $right = $span->right - $allowance - $span->doubt / 2;
        $working = Working::start(sprintf('clear span, binding at %.0f high left and %.0f high right', $span->leftHeight, $span->rightHeight), Length::ofDouble($span->width))
            ->minus('allowance left', $this->rules->get(Rule::SideAllowance))
            ->minus('allowance right', $this->rules->get(Rule::SideAllowance))
            ->minus('doubt left, 95 %', Length::ofDouble($span->doubt / 2))
            ->minus('doubt right, 95 %', Length::ofDouble($span->doubt / 2));
        foreach ([Edge::Left, Edge::Right] as $edge) {
            if (! isset($reserves[$edge->value])) {
                continue;
            }
            $limit = $this->gaps->wallLimit($edge, $depth->result->toDouble(), $height->result->toDouble());
            $wanted = $edge === Edge::Left ? $limit + $reserves[$edge->value] - $left : $right - ($limit - $reserves[$edge->value]);
            if ($wanted > 0) {
                $working = $working->minus('kept free for the closing at the '.$edge->value, Length::ofDouble($wanted));
                $edge === Edge::Left ? $left += $wanted : $right -= $wanted;
            }
        }
        $working = $this->layout->width !== null
            ? Working::start('width as chosen', $this->layout->width)
            : $working->roundedDown($this->format);

        return [$working, ($left + $right - $working->result->toDouble()) / 2];
    }

    /**
     * @param  array<string, FittedEdge>  $kept  edges whose closing stands, whatever the gap has become
     * @return array<string, FittedEdge>
     */
    private function edges(Cell $cell, array $kept): array
    {
        $edges = [];
        foreach (Edge::cases() as $edge) {
            $gap = $this->gaps->along($edge, $cell);
            $wish = $edge->isChosen() ? $this->layout->closing($edge) : null;
            [$closing, $reason] = isset($kept[$edge->value])
                ? [$kept[$edge->value]->closing, $kept[$edge->value]->reason]
                : $this->table->choose($gap, $wish);
            $isScribed = $closing === Closing::Scribe || $closing === Closing::Filler;
            $edges[$edge->value] = new FittedEdge($edge, $gap, $closing, $reason, $wish, $isScribed ? ScribeLine::along($gap, $this->rules, $this->format) : null);
        }

        return $edges;
    }

    /**
     * @param  array<string, FittedEdge>  $edges
     * @return array<string, float>
     */
    private function reserves(array $edges): array
    {
        $reserves = [];
        foreach ($edges as $name => $edge) {
            $reserve = $edge->edge->isChosen() ? $this->table->reserve($edge->closing) : null;
            if ($reserve !== null) {
                $reserves[$name] = $reserve;
            }
        }

        return $reserves;
    }

    /** Plinth: no wider than the box, and between the walls where it stands. */
    private function plinthLength(Cell $cell): Working
    {
        $span = $this->room->span($this->frame, new Path(0.0, $this->frame->mouth(), 0.0, $this->rules->mm(Rule::PlinthHeight)), $this->rules->skirtingStays);

        return Working::start('width of the box', $cell->outerWidth())
            ->atMost('clear span at the floor less allowances and doubt', $this->widestBetween($span))
            ->roundedDown($this->format);
    }

    private function plinthDepth(Cell $cell): Working
    {
        return Working::start('depth of the box', $cell->outerDepth())
            ->minus('set back for toes', $this->rules->get(Rule::PlinthSetback))
            ->roundedDown($this->format);
    }

    /** What goes between two walls: their clear span less doubt and the allowance at each side. */
    private function widestBetween(ClearSpan $span): Length
    {
        return Length::ofDouble($span->width - $span->doubt)->minus($this->rules->get(Rule::SideAllowance)->times(2));
    }

    /** @throws NoRoom */
    private function refuseTooSmall(Cell $cell): void
    {
        foreach (['width' => $cell->outerWidth(), 'height' => $cell->outerHeight(), 'depth' => $cell->outerDepth()] as $name => $size) {
            if ($size->isLessThan(Length::ofMillimetres(self::SMALLEST))) {
                throw NoRoom::forBox($name, $this->format->write($size), $this->format->write(Length::ofMillimetres(self::SMALLEST)));
            }
        }
    }

    /** @return list<Finding> */
    private function findings(Cell $cell, ClearSpan $span, Working $height, Working $depth): array
    {
        $findings = [];
        $widest = $this->widestBetween($span)->roundedDown($this->format->step);
        foreach ([
            ['width', $cell->outerWidth(), $widest, 'jams between the walls'],
            ['height', $height->result, $this->tallest($depth, [])->result, 'cannot be stood up and slid home'],
            ['depth', $depth->result, $this->deepest()->result, 'stands out in front of the alcove'],
        ] as [$name, $size, $most, $what]) {
            if ($size->isGreaterThan($most) && $most->isPositive()) {
                $findings[] = Finding::clash("box-$name", sprintf('The box %s: its %s is %s, and %s is the most that goes.', $what, $name, $this->format->write($size), $this->format->write($most)), $cell->id)
                    ->withWaysOut([new WayOut(sprintf('Make the %s %s', $name, $this->format->write($most)), new Edit("layout.$name", null))]);
            }
        }

        return $findings;
    }
}
