<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Cut;
use Incastro\Pieces\Works\CutFor;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\InsideUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Sites\OpeningSite;
use Incastro\Units\StepRuns;

/**
 * A step that pulls out at the floor, hollow, with a notch round the foot of a basin where one stands there. Its lid spans no more than
 * 14/15 · t² mm between ribs: 1500 N in the middle of a strip of 300 at 7 N/mm².
 */
#[About('step-drawer', 'Step drawer', 'A child’s step that pulls out at the floor, notched round a basin’s foot.', 'To stand on')]
final readonly class StepDrawer implements InsideUnit, AsksOfRoom
{
    /** A rise is so high, and the going before a notch so deep; mm and inches. */
    private const RISE = [[150.0, 6.0], [220.0, 9.0]];

    private const GOING = [220.0, 8.75];

    /** Ribs stand no farther apart than this times the square of the lid's thickness, 1/mm. */
    private const SPAN = 14 / 15;

    /** A block over a castor, and how much larger it is than the hole in the bottom all round; mm and inches. */
    private const BLOCK = [80.0, 3.0];

    private const RIM = [6.0, 0.25];

    /** The least that a castor’s plate takes, mm and inches. */
    private const PLATE = [50.0, 2.0];

    /** A front clears the floor by so much more than castors give way, mm and inches. */
    private const OVER = [3.0, 0.125];

    /** The body is so high at least, mm. */
    private const LEAST = 60.0;

    public function __construct(
        #[Choice('It stands on', StepRuns::Glides)] public StepRuns $runs,
        #[Size('Front over the floor', ['8', '3/8'], 5, 15)] public Length $front,
        #[Size('Gap round the front', ['2.5', '3/32'], 1.5, 4)] public Length $reveal,
        #[Size('Play at each side', ['4', '1/8'], 2, 10)] public Length $side,
        #[Size('Play above', ['6', '1/4'], 2, 10)] public Length $above,
        #[Size('Air behind', ['15', '1/2'], 5, 60)] public Length $behind,
        #[Size('Clear of a basin’s foot', ['15', '5/8'], 10, 30)] public Length $clear,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Rounds;
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        return new OpeningDemand(
            Extent::atLeast($rules->either(400, 16), 'a step needs %s'),
            Extent::between($rules->either(...self::RISE[0]), $rules->either(...self::RISE[1])->plus(FaceFrame::takes($rules, $materials)[1]), 'a step rises %s at least'),
            Extent::atLeast($rules->either(300, 12), 'a foot needs %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        $tier = $site->opening->tierId;
        [$left, , $foot, $head] = $site->frame();
        $wide = $site->between();
        $high = $foot + $head < 1e-6 ? $site->height() : $site->height()->minus('rails before it', Length::ofDouble($foot + $head));
        [$t, $tb, $td] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Panel)->thickness, $terms->materials->for(Purpose::Front)->thickness];
        $glide = $this->runs->height($terms->rules);
        $across = $wide->minusTimes('play at each side', 2, $this->side)->roundedDown($terms->format);
        $tall = $high->minus('glides or castors', $glide)->minus('play above', $this->above)->roundedDown($terms->format);
        // It stops before a nailer behind it.
        $taken = Length::ofDouble($site->nailerBetween(0.0, $high->result->toDouble()));
        $deep = $site->depth();
        $deep = ($taken->isPositive() ? $deep->minus('nailer behind it', $taken) : $deep)->minus('air behind', $this->behind)->minus('front', $td)->roundedDown($terms->format);
        $y0 = $site->depth()->result->minus($td)->minus($deep->result)->toDouble();
        $wall = Working::start('height of the step', $tall->result)->minus('lid', $t)->minus('bottom', $tb)->roundedDown($terms->format);
        if ($wall->result->toDouble() < self::LEAST) {
            return new Assembly([], findings: [$this->rise($site, $high->result)]);
        }
        $notch = $this->notch($site, $left, $across, $y0, $y0 + $deep->result->toDouble());
        $make = $site->make;
        [$bw, $bd, $th] = [$across->result->toDouble(), $deep->result->toDouble(), $t->toDouble()];
        $x0 = $left + $this->side->toDouble() + ($wide->result->toDouble() - 2 * $this->side->toDouble() - $bw) / 2;
        $z0 = $foot + $glide->toDouble();
        $zs = $z0 + $tb->toDouble();
        $how = 'screwed and glued';
        $upright = fn (string $role, string $name, Working $length, float $x, float $y, bool $isAcross, string $words = ''): Placed => $site->placed($make->inner($role, $name, $length, $wall, Purpose::Carcass, Grain::Length, [], [$words === '' ? $how : $words]), $x, $y, $zs, $isAcross ? Way::Right : Way::Out, Way::Up, $isAcross ? Way::Out : Way::Right, Part::Loose);
        $between = Working::start('width of the step', $across->result)->minusTimes('sides', 2, $t);
        $frame = [
            $upright('step-side-L', 'Step side', $deep, $x0, $y0, false),
            $upright('step-side-R', 'Step side', $deep, $x0 + $bw - $th, $y0, false),
            $upright('step-inner', 'Inner front', $between, $x0 + $th, $y0 + $bd - $th, true, 'the front is screwed to it from inside'),
        ];
        $from = $y0;
        if ($notch === null) {
            $frame[] = $upright('step-back', 'Step back', $between, $x0 + $th, $y0, true);
            $from = $y0 + $th;
        } else {
            [$n0, $n1, $nv] = $notch;
            $in = Working::start('depth of the notch', Length::ofDouble($nv - $y0));
            array_push(
                $frame,
                $upright('step-cheek-L', 'Notch cheek', $in, $n0 - $th, $y0, false),
                $upright('step-cheek-R', 'Notch cheek', $in, $n1, $y0, false),
                $upright('step-notch', 'Notch front', Working::start('width of the notch', Length::ofDouble($n1 - $n0))->plusTimes('cheeks', 2, $t), $n0 - $th, $nv, true),
                $upright('step-back-L', 'Back, left of the notch', Working::start('to the notch', Length::ofDouble($n0 - $x0))->minusTimes('side and cheek', 2, $t), $x0 + $th, $y0, true),
                $upright('step-back-R', 'Back, right of the notch', Working::start('from the notch', Length::ofDouble($x0 + $bw - $n1))->minusTimes('cheek and side', 2, $t), $n1 + $th, $y0, true),
            );
            $from = $nv + $th;
        }
        $span = self::SPAN * $th ** 2;
        $ribs = max(0, (int) ceil(($bw - $th) / ($span + $th) - 1e-9) - 1);
        $bay = ($bw - 2 * $th - $ribs * $th) / ($ribs + 1);
        $rib = Working::start('between notch or back and inner front', Length::ofDouble($y0 + $bd - $th - $from))->roundedDown($terms->format);
        for ($i = 1; $i <= $ribs && $rib->result->toDouble() > 2 * $th; $i++) {
            $frame[] = $upright("step-rib-$i", 'Rib under the lid', $rib, $x0 + $i * ($bay + $th), $from, false);
        }
        $castors = $this->castors($site, $frame[0], $frame[1], $foot, [$y0 + ($notch === null ? $th : 0.0), $y0 + $bd - $th], $notch);
        array_push($frame, ...$castors);
        $plate = fn (string $role, string $name, Purpose $purpose, float $z, array $works, string $words): Placed => $site->placed($make->inner($role, $name, $across, $deep, $purpose, Grain::Length, array_values([...$works, ...$notch === null ? [] : [new CutFor(Cut::Notch, $notch[3]->id, $notch[3]->name, [$notch[2] - $y0])]]), [$words], $this->outline($bw, $bd, $notch, $x0, $y0)), $x0, $y0, $z, Way::Right, Way::Out, Way::Up, Part::Loose);
        $lid = $plate('step-lid', 'Step lid', Purpose::Carcass, $zs + $wall->result->toDouble(), [new Finished('front, long', Finish::Eased)], 'screwed down; an anti-slip strip along its front');
        $bottom = self::openedFor($plate('step-bottom', 'Step bottom', Purpose::Panel, $z0, [], 'laid on from below, screwed'), $castors, $terms->rules);
        // It clears the floor also when the castors give way.
        $over = $this->runs === StepRuns::Sprung && $this->front->isLessThan($glide->plus($terms->rules->either(...self::OVER))) ? $glide->plus($terms->rules->either(...self::OVER)) : $this->front;
        $face = $make->moving('step-front', 'Step front', $wide->minusTimes('gaps', 2, $this->reveal), $high->minus('gap above', $this->reveal)->minus('over the floor', $over), Purpose::Front, Grain::Length, [new Finished('all four', Finish::Eased)], ['screwed from inside the inner front; a finger slot, nothing sticks out to trip on'], $site->mark('step-front'));
        $front = $site->placed($face, $left + $this->reveal->toDouble(), $y0 + $bd, $foot + $over->toDouble(), Way::Right, Way::Up, Way::Out, Part::Loose);
        $joints = [];
        foreach ([$lid, $bottom] as $board) {
            foreach (array_filter($frame, fn (Placed $one) => $one->touches($board, Joinery::TOUCH)) as $one) {
                $joints[] = new Joint($board->piece->key, $one->piece->key, JointKind::Screws, 'steps');
            }
        }
        foreach ($frame as $i => $one) {
            foreach (array_slice($frame, $i + 1) as $other) {
                if ($one->touches($other, 0.6)) {
                    $joints[] = new Joint($one->piece->key, $other->piece->key, JointKind::Glue, 'steps');
                }
            }
        }
        $joints[] = new Joint($frame[2]->piece->key, $face->key, JointKind::Glue, 'steps');
        $placed = [...$frame, $bottom, $lid, $front];

        return new Assembly($placed, $joints, $this->hardware($notch !== null, $ribs), ['Lid between ribs, '.$site->name() => Working::start('equal bays', Length::ofDouble($bay))], [...$this->findings($site, $high->result, $bay, $span, $notch, $bd, $y0, $x0, $bw), ...$this->narrow($site, $castors)], [$this->movement($tier, $placed, $bd)]);
    }

    /**
     * From where to where its notch is cut, and how far from the back of the opening; null where no foot of a basin stands in its way.
     *
     * @return array{float, float, float, Thing}|null mm
     */
    private function notch(OpeningSite $site, float $left, Working $across, float $back, float $front): ?array
    {
        $step = $site->terms->format->step->toDouble();
        $clear = $this->clear->toDouble();
        foreach ($site->frame === null ? [] : (new ThingPlace($site->terms->room, $site->frame))->seenFrom($site->at(0.0, 0.0, 0.0), ThingKind::Pedestal) as [$thing, $block]) {
            $from = $left + $this->side->toDouble();
            $isInside = $block->u1 + $clear > $from && $block->u0 - $clear < $from + $across->result->toDouble() && $block->v1 + $clear > $back && $block->v0 < $front;
            if ($isInside) {
                return [floor(($block->u0 - $clear) / $step + 1e-9) * $step, ceil(($block->u1 + $clear) / $step - 1e-9) * $step, ceil(($block->v1 + $clear) / $step - 1e-9) * $step, $thing];
            }
        }

        return null;
    }

    /**
     * Blocks in its corners under which sprung castors are let in, none for glides.
     *
     * @param  array{float, float}  $between  from the back to the inner front
     * @param  array{float, float, float, Thing}|null  $notch
     * @return list<Placed>
     */
    private function castors(OpeningSite $site, Placed $left, Placed $right, float $foot, array $between, ?array $notch): array
    {
        $rules = $site->terms->rules;
        $high = $this->runs->castor($rules);
        if ($high === null) {
            return [];
        }
        $t = $site->terms->board();
        $size = $rules->either(...self::BLOCK);
        $place = $site->at(0.0, 0.0, 0.0);
        [$from, $to] = [$left->bounds->u1 - $place->x, $right->bounds->u0 - $place->x];
        $blocks = [];
        foreach ([['BL', $from, true], ['BR', $to, true], ['FL', $from, false], ['FR', $to, false]] as [$corner, $x, $isBehind]) {
            $isLeft = $corner[1] === 'L';
            // Behind it stands between a side and the cheek of a notch.
            $wide = Working::start('as wide as a castor’s plate', $size);
            $wide = $isBehind && $notch !== null ? $wide->atMost('beside the notch', Length::ofDouble(max(1.0, $isLeft ? $notch[0] - $t - $from : $to - $notch[1] - $t))) : $wide;
            $piece = $site->make->inner("step-castor-$corner", 'Block over a castor', Working::start('as long as a castor’s plate', $size), $wide, Purpose::Carcass, Grain::Any, [], ['glued and screwed into the corner, the castor under it']);
            $w = $piece->width->result->toDouble();
            $y = $isBehind ? $between[0] + ($notch === null ? 0.0 : $t) : $between[1] - $piece->length->result->toDouble();
            $blocks[] = $site->placed($piece, $isLeft ? $x : $x - $w, $y, $foot + $high->toDouble(), Way::Out, Way::Right, Way::Up, Part::Loose);
        }

        return $blocks;
    }

    /**
     * @param  list<Placed>  $castors
     * @return list<Finding> where a castor has no room beside the notch
     */
    private function narrow(OpeningSite $site, array $castors): array
    {
        $least = $site->terms->rules->either(...self::PLATE);
        $narrow = array_filter($castors, fn (Placed $block) => $block->piece->width->result->isLessThan($least));

        return $narrow === [] ? [] : [Finding::clash(Code::StepNarrow, sprintf('Beside its notch the step has %s for a castor; it needs %s.', $site->terms->format->write(array_values($narrow)[0]->piece->width->result), $site->terms->format->write($least)), $site->opening->tierId)
            ->withWaysOut([new WayOut('Let it stand on glides', Edits::tier($site->opening->tierId)->setting(['runs' => StepRuns::Glides->value]))])];
    }

    /**
     * The bottom with holes that castors reach the floor through.
     *
     * @param  list<Placed>  $castors
     */
    private static function openedFor(Placed $bottom, array $castors, HouseRules $rules): Placed
    {
        $rim = $rules->either(...self::RIM)->toDouble();
        foreach ($castors as $block) {
            $left = $bottom->piece->outline->minus($bottom->facing($block->bounds->grown(-$rim)));
            $bottom = $bottom->withPiece($bottom->piece->cutTo($left[0] ?? $bottom->piece->outline, new OpenedThrough('opening under each corner for its castor')));
        }

        return $bottom;
    }

    /** @param array{float, float, float, Thing}|null $notch */
    private function outline(float $wide, float $deep, ?array $notch, float $x0, float $y0): ?Outline
    {
        if ($notch === null) {
            return null;
        }
        [$a, $b, $in] = [$notch[0] - $x0, $notch[1] - $x0, $notch[2] - $y0];

        return new Outline(new Polygon([new Point(0.0, 0.0), new Point($a, 0.0), new Point($a, $in), new Point($b, $in), new Point($b, 0.0), new Point($wide, 0.0), new Point($wide, $deep), new Point(0.0, $deep)]));
    }

    /** @return list<Hardware> */
    private function hardware(bool $isNotched, int $ribs): array
    {
        return match ($this->runs) {
            StepRuns::Glides => [new Hardware('rubber glide', 4 + ($isNotched ? 2 : 0) + $ribs, 'steps', ArticleKind::Bumper)],
            StepRuns::Sprung => [new Hardware('sprung castor, 75 kg or 165 lb each, free stroke no more than the step stands off the floor', 4, 'steps', ArticleKind::Castor)],
        };
    }

    private function rise(OpeningSite $site, Length $high): Finding
    {
        $usual = $site->terms->rules->either(190, 7.5);

        return Finding::clash(Code::StepHigh, sprintf('A rise of %s is no step: it is %s to %s.', $site->terms->format->write($high), $site->terms->format->write($site->terms->rules->either(...self::RISE[0])), $site->terms->format->write($site->terms->rules->either(...self::RISE[1]))), $site->opening->tierId)
            ->withWaysOut([new WayOut(sprintf('Make the tier %s', $site->terms->format->write($usual)), Edits::tier($site->opening->tierId)->measuring('size', $usual))]);
    }

    /**
     * @param  array{float, float, float, Thing}|null  $notch
     * @return list<Finding>
     */
    private function findings(OpeningSite $site, Length $high, float $bay, float $span, ?array $notch, float $deep, float $y0, float $x0, float $wide): array
    {
        $terms = $site->terms;
        $tier = $site->opening->tierId;
        $findings = [];
        if ($high->isLessThan($terms->rules->either(...self::RISE[0])) || $high->isGreaterThan($terms->rules->either(...self::RISE[1]))) {
            $findings[] = $this->rise($site, $high);
        }
        if ($notch !== null) {
            $going = $y0 + $deep - $notch[2];
            $least = $terms->rules->either(...self::GOING);
            if ($going < $least->toDouble()) {
                $findings[] = Finding::clash(Code::StepNarrow, sprintf('The lid is %s deep before its notch; a foot needs %s.', $terms->write(max(0.0, $going)), $terms->format->write($least)), $tier)->withWaysOut([$site->deeper(Length::ofDouble($least->toDouble() - $going))]);
            }
            $legs = max($notch[0] - $x0, $x0 + $wide - $notch[1]) - 2 * $terms->board();
            $bay = max($bay, $legs);
        }
        if ($bay > $span + 1e-6) {
            $findings[] = Finding::warning(Code::LidBends, sprintf('The lid of the step lies free over %s beside its notch; %s holds one person. Guidance for furniture, not for the house.', $terms->write($bay), $terms->write($span)), $tier);
        }

        return [...$findings, Finding::note(Code::Caution, 'A step is used fully out, on a dry and level floor, and nobody stands on the edge of its notch.', $tier)];
    }

    /** @param non-empty-list<Placed> $placed */
    private function movement(string $tier, array $placed, float $travel): Movement
    {
        $around = $placed[0]->bounds;
        foreach (array_slice($placed, 1) as $one) {
            $around = $around->and($one->bounds);
        }
        $swept = new Block($around->u0, $around->u1, $around->v1, $around->v1 + $travel, $around->z0, $around->z1);

        return new Movement('Step', $tier, array_map(fn (Placed $one) => $one->piece->key, $placed), [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Out->vector(), $travel), $travel);
    }
}
