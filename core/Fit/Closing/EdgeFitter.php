<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Fit\Box;
use Incastro\Fit\Ends;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Holds\StandsBought;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\TopForm;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Members\Under;
use Incastro\Fit\Terms;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Rules\Rule;

/** Finds every edge of a run that stands against the house, and closes it. */
final readonly class EdgeFitter
{
    /** A top further than this under the ceiling is not closed against it, mm. */
    private const REACHES = 250.0;

    private ClosingTable $table;

    public function __construct(
        private Terms $terms,
        private GapReader $gaps,
        private Layout $layout,
        private Ends $ends,
    ) {
        $this->table = new ClosingTable($terms->rules, $terms->format);
    }

    /**
     * @param  array<string, FittedEdge>  $kept  edges whose closing stands, whatever the gap has become
     * @return array<string, FittedEdge> by key
     */
    public function edges(FittedRun $run, array $kept): array
    {
        $edges = [];
        foreach ($run->boxes as $box) {
            array_push($edges, ...$this->ofBox($run, $box, $kept));
        }
        foreach ($run->over() as $worktop) {
            array_push($edges, ...$this->ofWorktop($worktop));
        }
        foreach ($run->beside() as $panel) {
            $gap = $this->gaps->backUpright($panel->u, $panel->v, $panel->z, $panel->z + $panel->height->result->toDouble());
            $edges[] = $this->fitting(Side::Back, $panel->id, 'End panel '.$panel->mark.' to the wall behind', $gap, $this->gaps->backUprightOffsets($panel->u));
        }
        foreach ($run->under() as $plinth) {
            $edges[] = $this->foot($plinth);
        }
        $byKey = [];
        foreach ($edges as $edge) {
            $byKey[$edge->key()] = $edge;
        }

        return $byKey;
    }

    /**
     * @param  array<string, FittedEdge>  $edges
     * @return array<string, float> what each side of the run keeps free at its tightest place, mm
     */
    public function reserves(array $edges): array
    {
        $reserves = [];
        foreach ($edges as $edge) {
            $reserve = $edge->side->isChosen() ? $this->table->reserve($edge->closing) : null;
            if ($reserve !== null) {
                $reserves[$edge->side->value] = max($reserve, $reserves[$edge->side->value] ?? 0.0);
            }
        }

        return $reserves;
    }

    /**
     * @param  array<string, FittedEdge>  $kept
     * @return list<FittedEdge>
     */
    private function ofBox(FittedRun $run, Box $box, array $kept): array
    {
        $bays = $run->run->bays;
        $edges = [];
        foreach ([[Side::Left, $bays[0]->id, $box->u, $box->top->left], [Side::Right, $bays[count($bays) - 1]->id, $box->right(), $box->top->right]] as [$side, $bay, $u, $high]) {
            if ($box->holds($bay) && $this->ends->isWall($side->value)) {
                $gap = $this->gaps->upright($side, $u, $box->face(), $box->z, $box->z + $high);
                $edges[] = $this->chosen($side, $box->id, sprintf('%s %s %s to wall', $box->mark, $side->value, $this->terms->frame()->isZero() ? 'side' : 'stile'), $gap, $kept, $this->gaps->uprightOffsets($side, $box->face()), $this->isCut($box));
            }
        }
        if ($this->isUnderTheCeiling($run, $box)) {
            $gap = $this->gaps->ceiling($box);
            if ($gap->least < self::REACHES || isset($this->layout->closings[Side::Top->of($box->id)])) {
                $edges[] = $this->chosen(Side::Top, $box->id, $box->mark.' top to ceiling', $gap, $kept, $this->gaps->ceilingOffsets($box), $this->isCut($box));
            }
        }

        return $edges;
    }

    private function isUnderTheCeiling(FittedRun $run, Box $box): bool
    {
        foreach ($run->over() as $worktop) {
            if (in_array($box->id.':top', $worktop->carriers, true)) {
                return false;
            }
        }
        foreach ($run->bays as $bay) {
            $tiers = $bay->bay->tiers;
            $isStopped = $bay->bay->top === TopForm::Below && $this->terms->room->shape->ceiling->isSloped();
            if ($box->holds($tiers[count($tiers) - 1]->id) && ! $isStopped) {
                return true;
            }
        }

        return false;
    }

    /** Whether the frame of a box is cut to the house. */
    private function isCut(Box $box): bool
    {
        return ! $this->terms->frame()->isZero() && ! $box->has(StandsBought::class);
    }

    /** @param array<string, FittedEdge> $kept */
    private function chosen(Side $side, string $owner, string $label, Gap $gap, array $kept, ?Straightedge $offsets, bool $isCuttable = true): FittedEdge
    {
        $key = $side->of($owner);
        $wish = $this->layout->closings[$key] ?? null;
        [$closing, $reason] = isset($kept[$key]) ? [$kept[$key]->closing, $kept[$key]->reason] : $this->table->choose($gap, $wish, $isCuttable);
        if ($closing === Closing::Filler && $gap->least > $this->terms->rule(Rule::FillerMost)) {
            $reason .= sprintf('; above %s the furniture could be larger', $this->terms->format->write($this->terms->rules->get(Rule::FillerMost)));
        }

        return $this->edge($side, $owner, $label, $gap, $closing, $reason, $wish, $offsets);
    }

    /** Worktops and panels are cut to the wall wherever it shows. */
    private function fitting(Side $side, string $owner, string $label, Gap $gap, ?Straightedge $offsets): FittedEdge
    {
        [$closing] = $this->table->choose($gap, null);
        $isCut = $closing !== Closing::Nothing;

        return $this->edge($side, $owner, $label, $gap, $isCut ? Closing::Scribe : $closing, $isCut ? 'cut to follow '.$side->surface() : 'the wall is straight there', null, $offsets);
    }

    /** @return list<FittedEdge> */
    private function ofWorktop(Over $worktop): array
    {
        $name = Blueprint::of($worktop->holds::class)->about->label.' '.$worktop->mark;
        $edges = $worktop->meetsBack ? [$this->fitting(Side::Back, $worktop->id, "$name to the wall behind", $this->gaps->back($worktop->u, $worktop->end(), $worktop->v, $worktop->z), $this->gaps->backOffsets($worktop->z))] : [];
        foreach ([[Side::Left, $worktop->meetsLeft, $worktop->u], [Side::Right, $worktop->meetsRight, $worktop->end()]] as [$side, $meets, $u]) {
            if ($meets) {
                $gap = $this->gaps->end($side, $u, $worktop->v, $worktop->front(), $worktop->z);
                $edges[] = $this->fitting($side, $worktop->id, "$name to {$side->surface()}", $gap, $this->gaps->endOffsets($side, ($worktop->v + $worktop->front()) / 2, $worktop->z));
            }
        }

        return $edges;
    }

    private function foot(Under $plinth): FittedEdge
    {
        $gap = $this->gaps->floor($plinth->u, $plinth->end(), $plinth->front());

        return $this->chosen(Side::Foot, $plinth->id, 'Plinth '.$plinth->mark.' to floor', $gap, [], null);
    }

    private function edge(Side $side, string $owner, string $label, Gap $gap, Closing $closing, string $reason, ?Closing $wish, ?Straightedge $offsets): FittedEdge
    {
        $isScribed = $closing === Closing::Scribe || $closing === Closing::Filler;

        return new FittedEdge($side, $owner, $label, $gap, $closing, $reason, $wish, $isScribed ? ScribeLine::along($gap, $this->terms->rules, $this->terms->format) : null, $isScribed ? $offsets : null);
    }
}
