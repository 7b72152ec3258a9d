<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Headroom;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Pieces\Piece;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Part;

/**
 * Carries every box and large panel from the street door to its place, step by step, in the attitude that passes: through each
 * way in, through the mouth of the space, stood up, lifted onto its plinth, and slid home.
 */
final readonly class GoingIn
{
    /** A panel longer than this is carried with care, mm. */
    private const LARGE = 1200.0;

    /** What is no thicker than this is carried round a turn with one end raised, mm. */
    private const SLIM = 60.0;

    /** Heights at which a tall box is cut in two, and what must be left above, mm. */
    private const SPLITS = [1500.0, 1200.0, 900.0];

    private const LEAST_UPPER = 300.0;

    private float $hands;

    /** @param list<WayIn> $ways */
    public function __construct(private Terms $terms, private array $ways)
    {
        $this->hands = $terms->rule(Rule::HandClearance);
    }

    /**
     * @param  list<Assembly>  $assemblies  of each run
     * @return list<Carried>
     */
    public function all(FittedLayout $layout, array $assemblies): array
    {
        $carried = [];
        foreach ($layout->runs as $r => $run) {
            foreach ($run->boxes as $box) {
                $carried[] = $this->box($run, $box);
            }
            foreach ($assemblies[$r]->placed ?? [] as $placed) {
                $isLarge = in_array($placed->part, [Part::Worktop, Part::Face, Part::Loose, Part::Plinth], true) && $placed->piece->length->result->toDouble() > self::LARGE;
                if ($isLarge) {
                    $carried[] = $this->panel($placed->piece);
                }
            }
        }

        return $carried;
    }

    private function box(FittedRun $run, Box $box): Carried
    {
        $deep = $box->outerDepth()->minus($this->terms->frame())->toDouble();
        [$wide, $high] = [$box->outerWidth()->toDouble(), $box->outerHeight()->toDouble()];
        $steps = [...$this->ways([$wide, $high, $deep]), ...$this->mouth([$wide, $high, $deep])];
        $headroom = new Headroom($this->terms, $run->frame, $box->v, $box->face());
        [$ceiling, $sigma, $where] = $headroom->whereTilted();
        $doubt = Normal::ONE_SIDED_95 * $sigma;
        $tilt = $this->terms->rule(Rule::TiltAllowance);
        if ($high > $wide && $high > $deep) {
            $steps[] = new Step(StepKind::StoodUp, sprintf('stood up %s: it needs √(%s² + %s²) + %s = %s, and the ceiling there is %s, less %s of doubt', $where, $this->mm($high), $this->mm($deep), $this->mm($tilt), $this->mm(hypot($high, $deep) + $tilt), $this->mm($ceiling), $this->mm($doubt)), Passage::tilted($high, $deep, $ceiling - $doubt, $tilt));
        }
        $steps[] = $this->slid($headroom, $box);

        return new Carried($box->id, $box->mark, 'box', $steps);
    }

    private function slid(Headroom $headroom, Box $box): Step
    {
        $spare = INF;
        foreach ([$box->u, $box->right()] as $u) {
            foreach ([$box->v, min($box->face(), $box->v + $box->top->breaks), $box->face()] as $v) {
                [$ceiling, $sigma] = $headroom->over($u, $v);
                $spare = min($spare, $ceiling - Normal::ONE_SIDED_95 * $sigma - $box->topAt($u, $v));
            }
        }
        $lift = $this->terms->rule(Rule::TopAllowance);
        $place = $box->z > 0.0 ? sprintf('lifted to %s and slid home', $this->mm($box->z)) : 'slid home';

        return new Step(StepKind::Slid, $spare < 0.0 ? sprintf('%s, %s higher than what is free on its way', $place, $this->mm(-$spare)) : sprintf('%s: %s is free above it on its way, and %s are wanted', $place, $this->mm($spare), $this->mm($lift)), $spare - $lift);
    }

    private function panel(Piece $piece): Carried
    {
        $sizes = [$piece->length->result->toDouble(), $piece->width->result->toDouble(), $piece->thickness->toDouble()];

        return new Carried($piece->key, $piece->mark, lcfirst($piece->name), [...$this->ways($sizes), ...$this->mouth($sizes)]);
    }

    /**
     * @param  array{float, float, float}  $sizes
     * @return list<Step>
     */
    private function ways(array $sizes): array
    {
        return array_map(function (WayIn $way) use ($sizes): Step {
            $spare = $way->kind === 'turn'
                ? Passage::turn($sizes, $way->width, $way->secondWidth, $way->height, $this->hands)
                : Passage::door($sizes, $way->width, $way->height, $this->hands);
            if ($spare < 0.0 && $way->kind === 'turn' && min($sizes) < self::SLIM) {
                $spare = max($spare, Passage::turnRaised($sizes, $way->width, $way->secondWidth, $way->height, $this->hands));
            }
            $size = $way->kind === 'turn' ? sprintf('from %s into %s wide', $this->mm($way->width), $this->mm($way->secondWidth)) : sprintf('%s by %s', $this->mm($way->width), $this->mm($way->height));

            return new Step(StepKind::WayIn, sprintf('%s “%s”, %s', $way->kind === 'turn' ? 'round' : 'through', $way->name, $size), $spare);
        }, $this->ways);
    }

    /**
     * Through the door of a closet: its width is that of the plan, its height that of a door on it.
     *
     * @param  array{float, float, float}  $sizes
     * @return list<Step>
     */
    private function mouth(array $sizes): array
    {
        $room = $this->terms->room;
        $steps = [];
        foreach ($room->shape->edges as $edge => $kind) {
            if ($kind !== EdgeKind::Door) {
                continue;
            }
            $width = $room->edgeLength($edge);
            $height = $room->levels->ceilingAt($room->corners[$edge]);
            foreach ($room->things as $thing) {
                if ($thing->kind === ThingKind::Door && $thing->wall === $edge) {
                    [$width, $height] = [min($width, $thing->width), min($height, $thing->height)];
                }
            }
            $steps[] = new Step(StepKind::Mouth, sprintf('through the door of the space, %s by %s', $this->mm($width), $this->mm($height)), Passage::door($sizes, $width, $height, $this->hands));
        }

        return $steps;
    }

    /**
     * @param  list<Carried>  $carried
     * @return list<Finding> what does not go in, and ways out to be checked
     */
    public function findings(array $carried, FittedLayout $layout): array
    {
        $findings = [];
        foreach ($carried as $one) {
            $step = $one->failing();
            if ($step === null) {
                continue;
            }
            $short = $this->mm(-$step->spare);
            $name = ucfirst($one->what).' '.$one->mark;
            $sentence = match ($step->kind) {
                StepKind::StoodUp => sprintf('%s cannot be stood up: %s short. It is %s.', $name, $short, $step->words),
                StepKind::Slid => sprintf('%s cannot be slid home under the ceiling: %s short. It is %s.', $name, $short, $step->words),
                default => sprintf('%s does not go in: %s, %s short.', $name, $step->words, $short),
            };
            $findings[] = Finding::clash($step->kind->code(), $sentence, $one->id)->withWaysOut($this->waysOut($one, $step, $layout));
        }

        return $findings;
    }

    /** @return list<WayOut> */
    private function waysOut(Carried $one, Step $step, FittedLayout $layout): array
    {
        foreach ($layout->runs as $run) {
            $box = $run->box($one->id);
            if ($box === null) {
                continue;
            }
            $bay = $box->columns[0]->bayId;
            $ways = [];
            $tiers = array_merge([], ...array_map(fn ($column) => $column->openings, $box->columns));
            foreach ($step->kind === StepKind::StoodUp || $step->kind === StepKind::WayIn || $step->kind === StepKind::Mouth ? self::SPLITS : [] as $at) {
                // At a height that is round in the person's own unit.
                $height = Length::ofDouble($this->terms->format->place($at));
                if ($box->outerHeight()->toDouble() > $at + self::LEAST_UPPER && count($tiers) === 1) {
                    $ways[] = new WayOut(sprintf('Split at %s: base and upper', $this->terms->format->write($height)), Edits::action('base-upper', $bay, sprintf('split-%s-%.0f', $bay, $at), ['at' => ['nm' => $height->nanometres(), 'typed' => $this->terms->format->write($height)]]));
                }
            }
            if (count($tiers) > 1) {
                $ways[] = new WayOut('Cut it into base and upper', Edits::action('base-upper', $bay, "split-$bay"));
            }
            if ($step->kind === StepKind::StoodUp || $step->kind === StepKind::Slid) {
                $lower = Length::ofDouble($box->outerHeight()->toDouble() + $step->spare)->roundedDown($this->terms->format->step);
                if ($lower->isPositive()) {
                    $ways[] = new WayOut(sprintf('Lower the run to %s', $this->terms->format->write($lower)), Edits::run($run->run->id)->measuring('height', $lower));
                }
            }
            $ways[] = new WayOut('As high as goes in', Edits::run($run->run->id)->with('height', null));
            if ($step->kind === StepKind::WayIn || $step->kind === StepKind::Mouth) {
                $ways[] = new WayOut('Split the bay in two', Edits::action('split-bay', $bay, "halves-$bay"));
                $shallow = $run->depth->result->plus(Length::ofDouble($step->spare))->roundedDown($this->terms->format->step);
                if ($shallow->isGreaterThan(Length::ofMillimetres(200))) {
                    $ways[] = new WayOut(sprintf('Make the run %s deep', $this->terms->format->write($shallow)), Edits::run($run->run->id)->measuring('depth', $shallow));
                }
            }

            return $ways;
        }

        return [];
    }

    private function mm(float $millimetres): string
    {
        return $this->terms->write($millimetres);
    }
}
