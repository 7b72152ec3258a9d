<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Holds\StandsBought;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;

/**
 * Sockets and switches behind the back of a box that an opening is cut for: brought forward with a box extender, as deep as the back's
 * front stands before the wall, their plates lie on the back, and the hole for that is smaller than a plate.
 */
final readonly class Outlets
{
    /** A plate laps its hole by so much on every side, mm and inches. */
    private const LAPS = [4.0, 5 / 32];

    /** An extender deeper than this is a box moved by an electrician, mm and inches. */
    private const DEEPEST = [40.0, 1.5];

    private ThingPlace $places;

    /** @param list<string> $openings things for which an opening is cut */
    public function __construct(private FittedRun $run, private Terms $terms, private array $openings)
    {
        $this->places = new ThingPlace($terms->room, $run->frame);
    }

    public function brought(): Assembly
    {
        $all = [];
        foreach ($this->terms->room->things as $thing) {
            if (! in_array($thing->id, $this->openings, true) || ! in_array($thing->kind, [ThingKind::Socket, ThingKind::Switch], true)) {
                continue;
            }
            foreach ($this->run->boxes as $box) {
                $block = $this->places->block($thing);
                $isBehind = $block->u0 > $box->u && $block->u1 < $box->right() && $block->z0 > $box->z && $block->z1 < $box->highest();
                if ($isBehind && ! $box->has(StandsBought::class)) {
                    $all[] = $this->behind($thing, $box, max(0.0, $block->v0), ($block->u0 + $block->u1) / 2, ($block->z0 + $block->z1) / 2);
                }
            }
        }

        return Assembly::all(...$all);
    }

    private function behind(Thing $thing, Box $box, float $wall, float $u, float $z): Assembly
    {
        $format = $this->terms->format;
        $back = (new Behind($box, $this->terms))->inner;
        $off = Length::ofDouble(max(0.0, $box->v - min($wall, $this->run->frame->backAt($u, $z))));
        $spacer = Working::start('the box off the wall there', $off)->plus('its back', $back)->roundedUp($format);
        $laps = $this->terms->rules->either(...self::LAPS)->toDouble();
        $hole = fn (float $plate): string => $this->terms->write($plate - 2 * $laps);
        $sentence = sprintf('%s may be brought forward to the front of the back of %s with a box extender of %s: a hole of %s × %s, and its plate laps that. Power off; a licensed person where the rules say so.', ucfirst($thing->name), $box->mark, $format->write($spacer->result), $hole($thing->width), $hole($thing->height));
        $deepest = $this->terms->rules->either(...self::DEEPEST);
        $findings = $spacer->result->isGreaterThan($deepest)
            ? [Finding::warning(Code::ExtenderDeep, sprintf('%s lies %s behind the back of %s; extenders are made up to %s. An electrician moves its box forward, or the box stands nearer to the wall.', ucfirst($thing->name), $format->write($spacer->result), $box->mark, $format->write($deepest)), $box->id)->about([$thing->id])
                ->withWaysOut([new WayOut('Leave an open gap there', Edits::tier($box->id)->emptied())])]
            : [Finding::note(Code::OutletForward, $sentence, $box->id)->about([$thing->id])];

        return new Assembly([], hardware: [new Hardware('box extender '.$format->write($spacer->result), 1, 'sockets behind backs', ArticleKind::BoxExtender)], decisions: [sprintf('Extender of %s', lcfirst($thing->name)) => $spacer], findings: $findings);
    }
}
