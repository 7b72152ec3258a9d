<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Material;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Rules\Severity;
use Incastro\Rules\WayOut;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Units\Assembly;

/**
 * Boards that sag under what lies on them, at once and over the years, and what holds instead, worked out: the thinnest sheet of the
 * job that does, a strip under the front edge, a side under the middle. Guidance for furniture, not for the house's structure.
 */
final readonly class Sag
{
    /** A board that sags, or is stressed, by so many times its limit is none; one that somebody bends by leaning on it springs back. */
    private const TOO_FAR = 2.0;

    private const INCH = 25.4;

    public function __construct(private Terms $terms)
    {
    }

    /** @return list<Finding> of each unit, by its worst board */
    public function findings(Assembly $assembly): array
    {
        $worst = [];
        foreach ($assembly->bearings as $bearing) {
            if (! $bearing->board->holds() && (! isset($worst[$bearing->place]) || $bearing->board->used() > $worst[$bearing->place]->board->used())) {
                $worst[$bearing->place] = $bearing;
            }
        }

        return array_values(array_map($this->finding(...), $worst));
    }

    private function finding(Bearing $bearing): Finding
    {
        $board = $bearing->board;
        $sentence = match (true) {
            $board->bends() / $board->bendsLimit() > $board->sag() / $board->limit() => sprintf('%s bends %s when somebody leans on its front edge; %s is the most over %s.', $bearing->mark, $this->small($board->bends()), $this->small($board->bendsLimit()), $this->terms->write($board->span)),
            $board->isJudgedAtOnce() => sprintf('%s sags %s under %s; %s is the most over %s.', $bearing->mark, $this->small($board->sag()), $bearing->load, $this->small($board->limit()), $this->terms->write($board->span)),
            default => sprintf('%s sags %s over the years under %s; %s is the most over %s.', $bearing->mark, $this->small($board->sagsOverYears()), $bearing->load, $this->small($board->limitOverYears()), $this->terms->write($board->span)),
        };
        $severity = max($board->sag() / $board->limit(), $board->stressed()) > self::TOO_FAR ? Severity::Clash : Severity::Warning;

        return (new Finding(Code::Sags, $severity, $sentence.' Guidance for furniture, not for the house.', $bearing->place))->withWaysOut($this->ways($bearing));
    }

    /** To a tenth of a millimetre, or a hundredth of an inch. */
    private function small(float $mm): string
    {
        return $this->terms->format->unit === Unit::Inch ? sprintf('%.2f in', $mm / self::INCH) : sprintf('%.1f mm', $mm);
    }

    /** @return list<WayOut> */
    private function ways(Bearing $bearing): array
    {
        return [...$this->strip($bearing), ...$this->thicker($bearing), ...($bearing->middle === null ? [] : [$bearing->middle])];
    }

    /** @return list<WayOut> */
    private function strip(Bearing $bearing): array
    {
        if ($bearing->strip === null) {
            return [];
        }
        $step = $this->terms->format->step->toDouble();
        $high = $bearing->board->leastStrip($bearing->strip[0], $bearing->strip[1], $step, $bearing->board->thick);
        if ($high === null) {
            return [];
        }
        $length = Length::ofDouble($high)->roundedUp($this->terms->format->step);

        return [new WayOut(sprintf($bearing->stripped === [] ? 'A strip of %s under its front edge' : 'Lay it on cleats, with a strip of %s under its front edge', $this->terms->format->write($length)), $bearing->unit->setting(['strip' => ['nm' => $length->nanometres(), 'typed' => '']] + $bearing->stripped))];
    }

    /** @return list<WayOut> the thinnest sheet of the job that holds with its own weight */
    private function thicker(Bearing $bearing): array
    {
        $holding = array_filter($this->terms->materials->all, fn (Material $material) => $material instanceof SheetGood && $material->wood !== null && $material->thickness->toDouble() > $bearing->board->thick && self::of($material, $bearing->board)->holds());
        usort($holding, fn (Material $a, Material $b) => $a->thickness->toDouble() <=> $b->thickness->toDouble());

        return $bearing->made === null || $holding === [] ? [] : [new WayOut("Make it of {$holding[0]->name}", $bearing->unit->setting([$bearing->made => $holding[0]->id]))];
    }

    private static function of(Material $material, Board $board): Board
    {
        return $board->ofThickness($material->thickness->toDouble(), $material->wood?->strength(), $material->density);
    }
}
