<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Members\Under;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Loads;
use Incastro\Strength\Studs;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\HungBox;
use Incastro\Units\HungBy;
use Incastro\Units\Part;

/**
 * Whether a box that hangs on its wall is held there: its weight with what is in it, on the screws that studs allow, in shear and
 * pulled out at its head (the moment of its weight about its lower edge over the height of its screws), both together no more than they
 * carry; and whether it can be hung at all. Limits are those of a 6 mm screw 25 mm in a stud, for furniture: guidance, not for the
 * house's structure.
 */
final readonly class Hung
{
    /** Diameter of its screws, mm. */
    private const SCREW = 6;

    private const MOST_SCREWS = 4;

    /** In masonry a place for screws every so many mm. */
    private const PLUGS = 500.0;

    /** What anchors in a wall alone carry: N in all, and a box no deeper than this, mm and inches. */
    private const ANCHORED = 150.0;

    private const ANCHORED_DEEP = [200.0, 8.0];

    /** A box is lifted over its cleat by a thickness and this, mm. */
    private const LIFT = 2.0;

    /** The lower edge of a deep box between these heights is where heads are, mm; one as shallow as this is not. */
    private const HEADS = [1400.0, 1900.0];

    private const SHALLOW = 350.0;

    public function __construct(private FittedRun $run, private Terms $terms)
    {
    }

    /** @return list<Finding> */
    public function findings(Assembly $assembly): array
    {
        $findings = [];
        foreach ($this->run->boxes as $box) {
            $hung = $box->option(HungBox::class);
            if ($hung !== null) {
                array_push($findings, ...$this->of($box, $hung, $this->weight($box, $hung, $assembly)), ...$this->hooked($box, $hung), ...$this->ledge($box, $hung), ...$this->atHeads($box));
            }
        }

        return $findings;
    }

    /** Its pieces, and on every metre of its shelves and its bottom what they are filled with; kg. */
    private function weight(Box $box, HungBox $hung, Assembly $assembly): float
    {
        $own = $metres = 0.0;
        foreach ($assembly->placed as $placed) {
            if ($placed->owner !== $box->id) {
                continue;
            }
            $own += $placed->piece->weight();
            $isLevel = in_array($placed->part, [Part::Body, Part::Loose], true) && $placed->isLevel();
            $isTop = $placed->bounds->z1 > $box->highest() - 1.0;
            $metres += $isLevel && ! $isTop ? $placed->piece->length->result->toDouble() / 1000 : 0.0;
        }

        return $own + $metres * $hung->aMetre();
    }

    /** @return list<Finding> */
    private function of(Box $box, HungBox $hung, float $weight): array
    {
        $force = Loads::newtons($weight);
        $away = new WayOut('Screw it through its strips into studs', Edits::option($box->optionId(HungBox::class))->setting(['by' => HungBy::Nailer->value]));
        if ($hung->by() === HungBy::Anchors) {
            $deep = $this->terms->rules->either(...self::ANCHORED_DEEP);

            return $force <= self::ANCHORED && ! $box->outerDepth()->isGreaterThan($deep) ? [] : [
                Finding::clash(Code::AnchorsTooLight, sprintf('Filled, box %s weighs about %.0f kg and is %s deep; anchors in the wall alone hold %.0f kg in all, and no more than %s.', $box->mark, $weight, $this->terms->format->write($box->outerDepth()), self::ANCHORED / Loads::G, $this->terms->format->write($deep)), $box->id)->withWaysOut([$away]),
            ];
        }
        [$studs, $areKnown] = $this->studs($box);
        $pulled = $force * $box->outerDepth()->toDouble() / 2 / max(1.0, $this->head($box, $hung));
        // Besides those at its head, one in each stud at its foot, and one through its ledge.
        $all = fn (int $screws): int => $studs * ($screws + ($hung->by() === HungBy::Nailer ? 1 : 0) + ($hung->ledge($this->terms->rules)->isZero() ? 0 : 1));
        $used = fn (int $screws): float => Studs::hung($force, $pulled, $screws * max(1, $studs), max(1, $all($screws)), self::SCREW);
        $note = $areKnown ? [] : [Finding::note(Code::NoStud, sprintf('Find the studs behind box %s and note them: here it is reckoned with %d, one every %s.', $box->mark, $studs, $this->terms->write(Studs::APART)), $box->id)];
        if ($studs > 0 && $used($hung->screws()) <= 1.0) {
            return $note;
        }
        $enough = $studs === 0 ? [] : array_filter(range($hung->screws(), self::MOST_SCREWS), fn (int $screws) => $used($screws) <= 1.0);
        $more = $enough === [] ? [] : [new WayOut(sprintf('%d screws in each stud', min($enough)), Edits::option($box->optionId(HungBox::class))->setting(['screws' => min($enough)]))];
        $said = $studs === 0 ? 'no stud stands behind it' : sprintf('its %d screws are used to %.0f %%', $all($hung->screws()), 100 * $used($hung->screws()));

        return [...$note, Finding::clash(Code::TooFewStuds, sprintf('Filled, box %s weighs about %.0f kg: %s. Reach one more stud, or screw a strip on three of them and hang it on that.', $box->mark, $weight, $said), $box->id)
            ->withWaysOut([...$more, ...$this->shallower($box)])];
    }

    /** @return list<WayOut> */
    private function shallower(Box $box): array
    {
        $deep = $box->outerDepth()->toDouble();
        $to = Length::ofDouble($deep * 2 / 3)->roundedDown($this->terms->format->step);

        return $to->isLessThan($this->terms->rules->get(Rule::LeastDepth)) ? [] : [new WayOut(sprintf('Make it %s deep', $this->terms->format->write($to)), Edits::tier($box->id)->measuring('depth', $to))];
    }

    /** How high the screws at its head stand over its lower edge, mm. */
    private function head(Box $box, HungBox $hung): float
    {
        return $box->outerHeight()->toDouble() - $hung->underTop($this->terms->rule(Rule::NailerWidth), $this->terms->board());
    }

    /** @return array{int, bool} how many studs stand behind it, and whether anybody looked for them on this wall */
    private function studs(Box $box): array
    {
        if ($this->terms->madeOf($this->run->frame->wall)?->hasStuds() === false) {
            return [max(1, (int) floor($box->outerWidth()->toDouble() / self::PLUGS)), true];
        }
        $studs = array_column((new ThingPlace($this->terms->room, $this->run->frame))->onItsWall(ThingKind::Stud), 1);
        $behind = array_filter($studs, function (Block $stud) use ($box): bool {
            $middle = ($stud->u0 + $stud->u1) / 2;

            return $middle > $box->u + $this->terms->board() && $middle < $box->right() - $this->terms->board();
        });

        return $studs === [] ? [max(1, Studs::surely($box->outerWidth()->toDouble(), Studs::APART)), false] : [count($behind), true];
    }

    /** @return list<Finding> whether it can be lifted over its cleat */
    private function hooked(Box $box, HungBox $hung): array
    {
        if ($hung->by() !== HungBy::Cleat) {
            return [];
        }
        $over = min(array_merge(...array_map(fn (float $u) => array_map(fn (float $v) => $this->run->frame->ceilingAt($u, $v), [$box->v, $box->face()]), [$box->u, $box->right()])));
        foreach ($this->run->boxes as $other) {
            $over = $other->z >= $box->highest() - 1.0 && $other->u < $box->right() - 1.0 && $other->right() > $box->u + 1.0 ? min($over, $other->z) : $over;
        }
        $short = $this->terms->board() + self::LIFT - ($over - $box->highest());
        if ($short <= 0.0) {
            return [];
        }
        $cell = $this->run->cell($box->id);
        $lower = Length::ofDouble(max(0.0, ($cell?->height->result->toDouble() ?? 0.0) - $short))->roundedDown($this->terms->format->step);
        $ways = $cell !== null && $box->hasOneCell() ? [new WayOut(sprintf('Make it %s high', $this->terms->format->write($lower)), Edits::tier($box->id)->measuring('size', $lower))] : [];

        return [Finding::clash(Code::CleatCannotDrop, sprintf('Box %s is lifted %s over its cleat; %s more is wanted over it.', $box->mark, $this->terms->write($this->terms->board() + self::LIFT), $this->terms->write($short)), $box->id)
            ->withWaysOut([...$ways, new WayOut('Screw it through its strips into studs', Edits::option($box->optionId(HungBox::class))->setting(['by' => HungBy::Nailer->value]))])];
    }

    /** @return list<Finding> whether anything is where the ledge under it goes */
    private function ledge(Box $box, HungBox $hung): array
    {
        $high = $hung->ledge($this->terms->rules);
        if ($high->isZero()) {
            return [];
        }
        $foot = $box->z - $high->toDouble();
        $tops = [
            ...array_map(fn (Box $other) => [$other->u, $other->right(), $other->highest()], array_filter($this->run->boxes, fn (Box $other) => $other !== $box && $other->z < $box->z)),
            ...array_map(fn (Under $under) => [$under->u, $under->end(), $under->height->toDouble()], $this->run->under()),
            ...array_map(fn (Over $over) => [$over->u, $over->end(), $over->top], array_filter($this->run->over(), fn (Over $over) => $over->z < $box->z)),
        ];
        $isTaken = array_filter($tops, fn (array $top) => $top[0] < $box->right() - 1.0 && $top[1] > $box->u + 1.0 && $top[2] > $foot + 0.5) !== [];

        return ! $isTaken && $foot > 0.0 ? [] : [Finding::clash(Code::LedgeNoRoom, sprintf('A ledge under box %s takes %s; something stands there.', $box->mark, $this->terms->format->write($high)), $box->id)
            ->withWaysOut([new WayOut('Leave the ledge out', Edits::option($box->optionId(HungBox::class))->setting(['ledge' => false]))])];
    }

    /** @return list<Finding> */
    private function atHeads(Box $box): array
    {
        $isUnder = fn (FittedCell $cell): bool => $cell->tier->isBuilt() && $cell->z < $box->z - 1.0 && $cell->u < $box->right() - 1.0 && $cell->end() > $box->u + 1.0;
        $isAtHeads = $box->z > self::HEADS[0] && $box->z < self::HEADS[1] && $box->outerDepth()->toDouble() > self::SHALLOW;
        if (! $isAtHeads || array_filter($this->run->cells, $isUnder) !== []) {
            return [];
        }

        return [Finding::warning(Code::OverHead, sprintf('The lower edge of box %s is %s over the floor and stands out %s where somebody stands: heads meet it.', $box->mark, $this->terms->write($box->z), $this->terms->format->write($box->outerDepth())), $box->id)
            ->withWaysOut([new WayOut(sprintf('Make it %s deep', $this->terms->write(self::SHALLOW)), Edits::tier($box->id)->measuring('depth', Length::ofDouble(self::SHALLOW)->roundedDown($this->terms->format->step)))])];
    }
}
