<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Carries;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Chase\ChaseAlong;
use Incastro\Units\Make\Chase\ChaseFace;
use Incastro\Units\Make\Chase\FaceParts;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A box round the pipes that run up a wall or along it (`ChaseAlong`), whose face comes off. Up a wall: cheeks on battens on the wall, in a corner one cheek alone. Inside it is
 * as wide as the group and a batten and its clearance on both sides, and as deep as the group stands out and c. What must be reached lies behind a
 * part of the face that lifts off by itself.
 */
#[About('chase-box', 'Box round pipes', 'Cheeks and a face that comes off, with a hatch where something must be reached.', 'On a wall', 'D')]
final readonly class ChaseBox implements SurfaceUnit, ComesOff
{
    /** A hand works so far over and under the middle of what it must reach, mm and inches. */
    private const REACH = [125.0, 5.0];

    /** Slots for air at its head and its foot: how many, their sizes, and how far the first is from the end; mm. */
    private const SLOTS = 4;

    private const SLOT = [10.0, 60.0];

    private const FROM_END = 60.0;

    /** A waste falls by so much on a metre, mm and inches; one shorter than this falls anyway, m. */
    private const FALL = [18.0, 0.75];

    private const SHORT = 0.3;

    /** What a box is put round, and of it what must be reached. */
    private const GROUP = [ThingKind::Pipe, ThingKind::Valve, ThingKind::Trap];

    private const REACHED = [ThingKind::Valve, ThingKind::Trap];

    public function __construct(
        #[Size('Battens', ['20', '3/4'], 15, 40)] public Length $batten,
        #[Size('Air under the ceiling', ['3', '1/8'], 0, 20)] public Length $air,
        #[Size('Battens short of the ends', ['20', '3/4'], 0, 20)] public Length $short,
        #[Size('Left on at the wall to scribe', ['8', '3/8'], 0, 40)] public Length $scribe,
        #[Toggle('A part of the face lifts off where something must be reached', true)] public bool $hatch,
        #[Toggle('Somebody who knows looked: none of them carries gas', false)] public bool $confirmed,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        return new SurfaceDemand(Extent::atLeast($rules->either(80, 3), 'a box round a pipe needs %s'), Extent::atLeast($rules->either(300, 12), 'a box round a pipe needs %s'), $materials->carcass->thickness);
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $group = $this->group($site);
        if ($group === []) {
            return new Assembly([], findings: [Finding::clash(Code::ChaseEmpty, sprintf('There is no pipe on the part of the wall that %s is put round. Note it under things, or let the box reach to it.', $site->place->mark), $id)->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $blocks = array_column($group, 1);
        $isHot = array_filter($group, fn (array $one) => $one[0]->isHot) !== [];
        $clear = $isHot ? 'clear of what is hot' : 'clear of pipes';
        $c = $terms->rules->get($isHot ? Rule::PipeHot : Rule::PipeCold);
        $ci = Working::start('batten', $this->batten)->plus($clear, $c);
        if ($this->runsAlong($group)) {
            [$parts, $found] = $this->parts($site, $group, $site->place->width->roundedDown($terms->format)->result->toDouble(), true);
            $built = (new ChaseAlong($site, $blocks, $ci, $this->batten, $this->scribe))->build($parts);

            return Assembly::all($built, new Assembly([], [], $this->hardware($site, $built->placed, count(array_filter($parts, fn (array $part) => $part[2]))), findings: [...$found, ...$this->falls($site, $group), ...$this->cautions($site)]));
        }
        $t = $terms->materials->carcass->thickness;
        [$g0, $g1] = [min(array_map(fn (Block $block) => $block->u0, $blocks)) - $site->place->u, max(array_map(fn (Block $block) => $block->u1, $blocks)) - $site->place->u];
        $side = $ci->result->plus($t)->toDouble();
        $wide = $site->place->width->result->toDouble();
        [$hasLeft, $hasRight] = [$g0 - $side >= 0.0, $g1 + $side <= $wide];
        $left = $hasLeft ? $g0 - $side : 0.0;
        $right = $hasRight ? $g1 + $side : $wide;
        if (! $hasLeft && ! $hasRight || $g0 < 0.0 || $g1 > $wide) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('The pipes and what goes round them are wider than the part of the wall that %s has.', $site->place->mark), $id)->withWaysOut([new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $out = max(array_map(fn (Block $block) => $block->v1, $blocks)) - $site->place->v;
        $deep = Working::start('the pipes stand out', Length::ofDouble(max(0.0, $out)))->plus($clear, $c)->roundedUp($terms->format);
        $high = $site->place->height->minus('air under the ceiling', $this->air)->roundedDown($terms->format);
        [$parts, $found] = $this->parts($site, $group, $high->result->toDouble());
        $cheeks = $this->cheeks($site, $high, $deep, $hasLeft ? $left : null, $hasRight ? $right : null);
        $battens = $this->battens($site, $high, $deep, $left + ($hasLeft ? $t->toDouble() : 0.0), $right - ($hasRight ? $t->toDouble() : 0.0), $hasLeft, $hasRight);
        $faces = $this->faces($site, $deep, $left, $right, $high, $parts, ! $hasLeft || ! $hasRight, $isHot);
        $joints = [];
        foreach ($cheeks as $cheek) {
            foreach (array_filter($battens, fn (Placed $batten) => $batten->touches($cheek, 0.5)) as $batten) {
                $joints[] = new Joint($batten->piece->key, $cheek->piece->key, str_contains($batten->piece->key, 'batten-face') ? JointKind::Glue : JointKind::Screws, 'boxes round pipes');
            }
        }

        foreach ($faces as $face) {
            foreach ($face->part === Part::Loose ? [] : array_filter($battens, fn (Placed $batten) => str_contains($batten->piece->key, 'batten-face') && $batten->touches($face, 0.5)) as $batten) {
                $joints[] = new Joint($face->piece->key, $batten->piece->key, JointKind::Screws, 'faces of boxes round pipes');
            }
        }

        return new Assembly([...$cheeks, ...$battens, ...$faces], $joints, $this->hardware($site, $battens, count(array_filter($parts, fn (array $part) => $part[2]))), ['Inside depth, '.$site->place->mark => $deep], [...$found, ...$this->cautions($site)]);
    }

    /** @param non-empty-list<array{Thing, Block}> $group */
    private function runsAlong(array $group): bool
    {
        $pipes = array_filter($group, fn (array $one) => $one[0]->kind === ThingKind::Pipe);

        return array_filter($pipes, fn (array $one) => $one[0]->runs() === 'along') !== [];
    }

    /** @return list<array{Thing, Block}> what it is put round */
    private function group(SurfaceSite $site): array
    {
        [$place, $wide, $high] = [$site->place, $site->place->width->result->toDouble(), $site->place->height->result->toDouble()];

        return array_values(array_filter($site->things(...self::GROUP), fn (array $one) => $one[1]->u1 > $place->u && $one[1]->u0 < $place->u + $wide && $one[1]->z1 > $place->z && $one[1]->z0 < $place->z + $high));
    }

    /**
     * The parts of the face from its foot up, or from its left end along the wall, and what is wrong with them.
     *
     * @param  list<array{Thing, Block}>  $group
     * @return array{non-empty-list<array{float, float, bool}>, list<Finding>} from, to, and whether it lifts off
     */
    private function parts(SurfaceSite $site, array $group, float $long, bool $isAlong = false): array
    {
        $reach = $site->terms->rules->either(...self::REACH)->toDouble();
        $hatches = [];
        foreach ($group as [$thing, $block]) {
            if (in_array($thing->kind, self::REACHED, true)) {
                [$from, $to] = $isAlong ? [$block->u0 - $site->place->u, $block->u1 - $site->place->u] : [$block->z0 - $site->place->z, $block->z1 - $site->place->z];
                $middle = ($from + $to) / 2;
                $hatches[] = [max(0.0, min($middle - $reach, $from)), min($long, max($middle + $reach, $to)), $thing];
            }
        }
        if ($hatches !== [] && ! $this->hatch) {
            $id = $site->place->surface->id;

            return [[[0.0, $long, false]], [Finding::clash(Code::ValveBehindFace, sprintf('%s would be behind a fixed face.', ucfirst($hatches[0][2]->name)), $id)->about([$hatches[0][2]->id])->withWaysOut([new WayOut('Let a part of the face lift off there', Edits::surface($id)->setting(['hatch' => true]))])]];
        }

        return [FaceParts::of(array_map(fn (array $hatch) => [$hatch[0], $hatch[1]], $hatches), $long), []];
    }

    /** @return list<Placed> */
    private function cheeks(SurfaceSite $site, Working $high, Working $deep, ?float $left, ?float $right): array
    {
        $t = $site->terms->board();
        $make = fn (string $role, string $name): Piece => $site->make->covering($role, $name, $high, $deep->plus('left on to scribe', $this->scribe), Purpose::Carcass, Outline::rectangle(0.0, 0.0, $high->result->toDouble(), $deep->result->toDouble()), $this->scribe->isPositive() ? [new Finished('back, long', Finish::TouchesHouse)] : [], ['screwed to its batten on the wall']);

        return [
            ...$left === null ? [] : [$site->placedTo($make('cheek-L', 'Left cheek'), $left, 0.0, 0.0, Way::Up, Way::Out, Way::Right, Part::Body)],
            ...$right === null ? [] : [$site->placedTo($make('cheek-R', 'Right cheek'), $right - $t, 0.0, 0.0, Way::Up, Way::Out, Way::Right, Part::Body)],
        ];
    }

    /**
     * Battens on the wall and behind the face, beside the cheeks; in a corner the face's own on the side wall.
     *
     * @param  float  $from  inner side of the left cheek, or the side wall
     * @return list<Placed>
     */
    private function battens(SurfaceSite $site, Working $high, Working $deep, float $from, float $to, bool $hasLeft, bool $hasRight): array
    {
        $b = $this->batten->toDouble();
        $short = $this->short->toDouble();
        $thick = $site->terms->materials->for(Purpose::Framing)->thickness->toDouble();
        $make = fn (string $role, string $name, string $how): Piece => $site->make->inner($role, $name, $high->minusTimes('short of the ends', 2, $this->short), Working::start('width of the batten', $this->batten), Purpose::Framing, Grain::Length, [], [$how]);
        $front = $deep->result->toDouble() - $thick;
        $wall = 'screwed to the wall; the cheek is screwed onto it';
        $face = 'glued flush inside the cheek';
        $corner = 'screwed to the side wall, packed plumb';

        return [
            ...$hasLeft ? [$site->placed($make('batten-wall-L', 'Wall batten', $wall), $from, 0.0, $short, Way::Up, Way::Right, Part::Cleat)] : [],
            ...$hasRight ? [$site->placed($make('batten-wall-R', 'Wall batten', $wall), $to - $b, 0.0, $short, Way::Up, Way::Right, Part::Cleat)] : [],
            $site->placed($make('batten-face-L', 'Face batten', $hasLeft ? $face : $corner), $from, $front, $short, Way::Up, Way::Right, Part::Cleat),
            $site->placed($make('batten-face-R', 'Face batten', $hasRight ? $face : $corner), $to - $b, $front, $short, Way::Up, Way::Right, Part::Cleat),
        ];
    }

    /**
     * @param  non-empty-list<array{float, float, bool}>  $parts
     * @return list<Placed>
     */
    private function faces(SurfaceSite $site, Working $deep, float $left, float $right, Working $high, array $parts, bool $isCorner, bool $isHot): array
    {
        $terms = $site->terms;
        $purpose = ChaseFace::purpose($terms->materials);
        $across = Working::start('over both cheeks', Length::ofDouble($right - $left));
        $blank = $isCorner ? $across->plus('left on at the side wall', $this->scribe) : $across;
        $placed = [];
        foreach (ChaseFace::gapped($parts, $terms->rules) as $i => [$role, $foot, $head, $lifts]) {
            $length = ChaseFace::length($foot, $head, $high, count($parts) === 1, $terms->format);
            $long = $length->result->toDouble();
            $outline = Outline::rectangle(0.0, 0.0, $long, $right - $left);
            if ($isHot) {
                $outline = $this->slotted($outline, $long, $right - $left, $i === 0, $i === count($parts) - 1);
            }
            $name = count($parts) === 1 ? 'Face' : ChaseFace::name($lifts);
            $piece = $site->make->covering($role, $name, $length, $blank, $purpose, $outline, $isCorner ? [new Finished('long, at the side wall', Finish::TouchesHouse)] : [], [ChaseFace::words($lifts)]);
            $placed[] = $site->placed($piece, $left, $deep->result->toDouble(), $foot, Way::Up, Way::Right, $lifts ? Part::Loose : Part::Cladding);
        }

        return $placed;
    }

    /** Slots for air at the head and the foot, where something inside is hot. */
    private function slotted(Outline $outline, float $long, float $wide, bool $isFoot, bool $isHead): Outline
    {
        [$slot, $high] = self::SLOT;
        $step = 3 * $slot;
        $count = min(self::SLOTS, (int) floor(($wide - 60.0) / $step));
        foreach ([...$isFoot ? [self::FROM_END] : [], ...$isHead ? [$long - self::FROM_END - $high] : []] as $x) {
            for ($i = 0; $i < $count && $long > 2 * self::FROM_END + 2 * $high; $i++) {
                $parts = $outline->minus(Polygon::rectangle($x, ($wide - ($count - 1) * $step - $slot) / 2 + $i * $step, $high, $slot));
                $outline = count($parts) === 1 ? $parts[0] : $outline;
            }
        }

        return $outline;
    }

    /**
     * @param  list<Placed>  $battens
     * @return list<Hardware>
     */
    private function hardware(SurfaceSite $site, array $battens, int $lifting): array
    {
        $screws = new Screws($site->terms->materials, $site->terms->format);
        $onWall = array_values(array_filter($battens, fn (Placed $batten) => str_contains($batten->piece->key, 'batten-wall')));

        return [
            ...array_map(fn (Placed $batten) => $screws->toStuds($batten->piece, 'boxes round pipes'), $onWall),
            ...$lifting === 0 ? [] : [new Hardware('magnet catch', 4 * $lifting, 'boxes round pipes', ArticleKind::Magnet)],
        ];
    }

    /**
     * Whether a waste runs away: 18 mm for each metre, or 1/4 in a foot, at least.
     *
     * @param  list<array{Thing, Block}>  $group
     * @return list<Finding>
     */
    private function falls(SurfaceSite $site, array $group): array
    {
        $findings = [];
        $least = $site->terms->rules->either(...self::FALL)->toDouble();
        foreach ($group as [$thing, $block]) {
            $long = ($block->u1 - $block->u0) / 1000;
            if ($thing->carries !== Carries::Waste || $thing->kind !== ThingKind::Pipe || $long < self::SHORT) {
                continue;
            }
            $id = $site->place->surface->id;
            $name = ucfirst($thing->name);
            $findings = [...$findings, ...match (true) {
                $thing->fall === null => [Finding::note(Code::NoFall, sprintf('Take how much lower one end of %s lies than the other before it is boxed in: a waste falls by %s on every metre.', lcfirst($thing->name), $site->terms->write($least)), $id)],
                $thing->fall / $long < $least - 0.05 => [Finding::warning(Code::NoFall, sprintf('%s falls only %s on a metre; %s is the least. Raise its far end before it is boxed in.', $name, $site->terms->write($thing->fall / $long), $site->terms->write($least)), $id)],
                default => [],
            }];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function cautions(SurfaceSite $site): array
    {
        $id = $site->place->surface->id;

        $pipes = array_filter(array_column($this->group($site), 0), fn (Thing $thing) => $thing->kind === ThingKind::Pipe);
        $gas = array_values(array_filter($pipes, fn (Thing $thing) => $thing->carries === Carries::Gas));
        if ($gas !== []) {
            return [Finding::clash(Code::GasBoxed, sprintf('%s carries gas: it is not boxed in here. Ask a licensed person.', ucfirst($gas[0]->name)), $id)->about([$gas[0]->id])->withWaysOut([new WayOut('Take the box away', Edits::withoutSurface($id))])];
        }
        $isKnown = array_filter($pipes, fn (Thing $thing) => $thing->carries === null) === [];

        return $this->confirmed || $isKnown ? [] : [
            Finding::warning(Code::GasBoxed, 'A gas pipe is never boxed in without a licensed person, and local rules decide. Old lagging may hold asbestos: have it looked at before it is touched.', $id)
                ->withWaysOut([new WayOut('Somebody who knows looked at them', Edits::surface($id)->setting(['confirmed' => true]))]),
        ];
    }
}
