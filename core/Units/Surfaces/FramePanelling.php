<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ClosesWall;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Make\MitredStrip;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A flat frame on a wall that divides it evenly: rails through, stiles between them, with or without mouldings in the panels and a cap.
 * np = round((W − s)/(target + s)); pw = (W − (np + 1)·s)/np, down; what is left over widens both end stiles.
 */
#[About('frame-panelling', 'Panelling with a frame', 'Rails and stiles on a wall, evenly divided, with or without mouldings and a cap.', 'On a wall', 'N')]
final readonly class FramePanelling implements ClosesWall, SurfaceUnit
{
    /** Panels narrower or wider look wrong, mm. */
    private const NARROW = 150.0;

    private const WIDE = 900.0;

    /** A panel is no lower than this, mm. */
    private const LOW = 60.0;

    /** A box in the wall stays so far off the frame, mm. */
    private const OFF = 20.0;

    /** Width of a moulding that is ripped from a sheet, mm and inches. */
    private const MOULDING = [20.0, 0.75];

    /** What has a box in the wall. */
    private const BOXES = [ThingKind::Socket, ThingKind::Switch, ThingKind::JunctionBox];

    public function __construct(
        #[Size('Height', ['1100', '42'], 300, 3000)] public Length $height,
        #[Size('Wished width of a panel', ['400', '16'], 200, 900)] public Length $target,
        #[Count('Panels side by side', 0, 0, 30, '0: as many as come nearest the wished width.')] public int $panels,
        #[Count('Panels above each other', 1, 1, 4)] public int $rows,
        #[Size('Width of the stiles', ['90', '3 1/2'], 45, 250)] public Length $stile,
        #[Size('Width of the top rail', ['90', '3 1/2'], 45, 250)] public Length $top,
        #[Size('Width of the bottom rail', ['140', '5 1/2'], 45, 250)] public Length $foot,
        #[Size('Left on both ends to scribe', ['8', '3/8'], 0, 40, '0 where the ends are caulked.')] public Length $scribe,
        #[Toggle('Mouldings in the panels', false)] public bool $moulded,
        #[Size('Mouldings off the frame', ['25', '1'], 0, 60)]
        #[When('moulded', true)]
        public Length $inset,
        #[Toggle('A cap on the top rail', false)] public bool $capped,
        #[Size('Cap over the frame', ['20', '3/4'], 0, 60)]
        #[When('capped', true)]
        public Length $over,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        return new SurfaceDemand(
            Extent::atLeast($this->stile->times(2)->plus($rules->either(150, 6)), 'two stiles and a panel between them need %s'),
            Extent::atLeast($this->top->plus($this->foot)->plus($rules->either(100, 4)), 'two rails and a panel between them need %s'),
            $materials->for(Purpose::Frame)->thickness,
        );
    }

    /** How many panels stand side by side on a wall so wide. */
    public function count(Length $wide): int
    {
        return $this->panels > 0 ? $this->panels : max(1, (int) round(($wide->toDouble() - $this->stile->toDouble()) / ($this->target->toDouble() + $this->stile->toDouble())));
    }

    /**
     * The width of a panel, and of the end stiles in their place.
     *
     * @return array{Working, Working}
     */
    public function divided(Working $wide, LengthFormat $format): array
    {
        $n = $this->count($wide->result);
        $panel = $wide->minusTimes($n === 1 ? 'two stiles' : sprintf('%d stiles', $n + 1), $n + 1, $this->stile)->dividedBy(sprintf('%d panels', $n), $n)->roundedDown($format);
        $end = $wide->minusTimes('panels', $n, $panel->result)->minusTimes('stiles between them', $n - 1, $this->stile)->dividedBy('both end stiles alike', 2);

        return [$panel, $end];
    }

    public function closes(): Length
    {
        return $this->height;
    }

    public function build(SurfaceSite $site): Assembly
    {
        $format = $site->terms->format;
        $wide = $site->place->width->roundedDown($format);
        [$panel, $end] = $this->divided($wide, $format);
        if (! $panel->result->isPositive() || ! $end->result->isPositive()) {
            return new Assembly([], findings: [$this->odd($site, $panel->result->toDouble(), $this->count($wide->result))]);
        }
        $n = $this->count($wide->result);
        $high = $this->height->isGreaterThan($site->place->height->result) ? $site->place->height->result->roundedDown($format->step) : $this->height;
        $between = Working::start('height of the panelling', $high)->minus('top rail', $this->top)->minus('bottom rail', $this->foot);
        if ($this->row($between) < self::LOW) {
            $least = $this->top->plus($this->foot)->plus($this->stile->times($this->rows - 1))->plus(Length::ofDouble($this->rows * self::LOW))->roundedUp($format->step);

            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('The rails of %s leave panels of %s: they are %s high at least.', $site->place->mark, $site->terms->write(max(0.0, $this->row($between))), $site->terms->write(self::LOW)), $site->place->surface->id)
                ->withWaysOut([new WayOut(sprintf('Make it %s high', $format->write($least)), Edits::surface($site->place->surface->id)->setting(['height' => ['nm' => $least->nanometres(), 'typed' => '']])), new WayOut('Take it away', Edits::withoutSurface($site->place->surface->id))])]);
        }
        $x = [];
        for ($i = 1; $i < $n; $i++) {
            $x[] = $end->result->toDouble() + $i * $panel->result->toDouble() + ($i - 1) * $this->stile->toDouble();
        }
        $placed = [...$this->rails($site, $wide, $high, $x), ...$this->stiles($site, $wide, $between, $end, $x), ...$this->middles($site, $between, $panel, $end, $x)];
        $panels = $n * $this->rows;
        if ($this->moulded) {
            array_push($placed, ...$this->mouldings($site, $between, $panel, $end, $x));
        }
        if ($this->capped) {
            $deep = Working::start('thickness of the frame', $site->terms->materials->for(Purpose::Frame)->thickness)->plus('over the frame', $this->over);
            $cap = $site->make->inner('cap', 'Cap', $wide, $deep, Purpose::Top, Grain::Length, [new Finished('front, long', Finish::Eased), new Finished('back, long', Finish::TouchesHouse)], ['glued and nailed on the top rail; its back scribed to the wall']);
            $placed[] = $site->placed($cap, 0.0, 0.0, $high->toDouble(), Way::Right, Way::Out, Part::Face);
        }
        $brads = 2 * (count($x) + 2) + ($this->moulded ? 12 * $panels : 0);
        $long = $site->terms->materials->for(Purpose::Frame)->thickness->plus($site->terms->rules->either(25, 1))->roundedUp($format->step);

        return new Assembly($placed, [], [new Hardware('brad '.$format->write($long), $brads, 'panelling', ArticleKind::Brad, $long)], [
            'Panels, '.$site->place->mark => $panel, 'End stiles, '.$site->place->mark => $end,
        ], $this->findings($site, $panel, $end, $x, $n));
    }

    /**
     * Rails through from end to end, spliced over a stile where they are longer than a board.
     *
     * @param  list<float>  $x  left edges of the stiles between the panels
     * @return list<Placed>
     */
    private function rails(SurfaceSite $site, Working $wide, Length $high, array $x): array
    {
        $longest = $site->terms->rule(Rule::LongestPiece);
        $parts = max(1, (int) ceil($wide->result->toDouble() / $longest));
        $cuts = [0.0];
        for ($i = 1; $i < $parts && $x !== []; $i++) {
            $wished = $i * $wide->result->toDouble() / $parts;
            $middles = array_map(fn (float $left) => $left + $this->stile->toDouble() / 2, $x);
            usort($middles, fn (float $a, float $b) => abs($a - $wished) <=> abs($b - $wished));
            $cuts[] = $middles[0];
        }
        $cuts = [...array_values(array_unique($cuts)), $wide->result->toDouble()];
        $placed = [];
        foreach ([['rail-top', 'Top rail', $this->top, $high->toDouble() - $this->top->toDouble()], ['rail-foot', 'Bottom rail', $this->foot, 0.0]] as [$role, $name, $width, $z]) {
            for ($i = 1; $i < count($cuts); $i++) {
                $length = count($cuts) === 2 ? $wide : Working::start('between the ends and the middles of stiles', Length::ofDouble($cuts[$i] - $cuts[$i - 1]));
                $piece = $site->make->inner(count($cuts) === 2 ? $role : "$role-$i", $name, $length, Working::start('width of the rail', $width), Purpose::Frame, Grain::Length, $role === 'rail-foot' ? [new Finished('lower, long', Finish::TouchesHouse)] : [], ['glued, two brads at each stud'.(count($cuts) > 2 ? '; joined over a stile' : '')]);
                $placed[] = $site->placed($piece, $cuts[$i - 1], 0.0, $z, Way::Right, Way::Up, Part::Face);
            }
        }

        return $placed;
    }

    /**
     * @param  list<float>  $x
     * @return list<Placed>
     */
    private function stiles(SurfaceSite $site, Working $wide, Working $between, Working $end, array $x): array
    {
        $z = $this->foot->toDouble();
        $long = $between->roundedDown($site->terms->format)->result->toDouble();
        $so = $end->result->toDouble();
        $blank = $end->plus('left on to scribe', $this->scribe);
        $ends = [];
        foreach ([['stile-end-L', 0.0, Side::Left], ['stile-end-R', $wide->result->toDouble() - $so, Side::Right]] as [$role, $at, $side]) {
            $works = $this->scribe->isPositive() ? [new Finished($side === Side::Left ? 'left, long' : 'right, long', Finish::TouchesHouse)] : [];
            $piece = $site->make->covering($role, 'End stile', $between->roundedDown($site->terms->format), $blank, Purpose::Frame, Outline::rectangle(0.0, 0.0, $long, $so), $works, ['between the rails; its outer edge scribed to the wall']);
            $ends[] = $site->placed($piece, $at, 0.0, $z, Way::Up, Way::Right, Part::Face);
        }

        return [...$ends, ...array_map(fn (float $left, int $i) => $site->placed($site->make->inner('stile-'.($i + 1), 'Stile', $between, Working::start('width of the stile', $this->stile), Purpose::Frame, Grain::Length, [], ['between the rails']), $left, 0.0, $z, Way::Up, Way::Right, Part::Face), $x, array_keys($x))];
    }

    /**
     * Rails between the rows of panels.
     *
     * @param  list<float>  $x
     * @return list<Placed>
     */
    private function middles(SurfaceSite $site, Working $between, Working $panel, Working $end, array $x): array
    {
        $placed = [];
        $high = $this->row($between);
        for ($row = 1; $row < $this->rows; $row++) {
            foreach ($this->lefts($end, $x) as $i => $left) {
                $piece = $site->make->inner("rail-$row-".($i + 1), 'Middle rail', $panel, Working::start('width of the rail', $this->stile), Purpose::Frame, Grain::Length, [], ['between the stiles']);
                $placed[] = $site->placed($piece, $left, 0.0, $this->foot->toDouble() + $row * $high + ($row - 1) * $this->stile->toDouble(), Way::Right, Way::Up, Part::Face);
            }
        }

        return $placed;
    }

    /**
     * Four mitred strips in each panel, their long points outside.
     *
     * @param  list<float>  $x
     * @return list<Placed>
     */
    private function mouldings(SurfaceSite $site, Working $between, Working $panel, Working $end, array $x): array
    {
        $terms = $site->terms;
        $material = $terms->materials->for(Purpose::Trim);
        $w = $material instanceof Lineal ? $material->width : $terms->rules->either(...self::MOULDING);
        $level = $panel->minusTimes('off the frame', 2, $this->inset)->roundedDown($terms->format->fine());
        $high = Working::start('height of a panel', Length::ofDouble($this->row($between)))->minusTimes('off the frame', 2, $this->inset)->roundedDown($terms->format->fine());
        if ($level->result->toDouble() < 3 * $w->toDouble() || $high->result->toDouble() < 3 * $w->toDouble()) {
            return [];
        }
        $placed = [];
        $strip = fn (string $role, string $name, Working $length, bool $isLowShort) => $site->make->shaped($role, $name, $length, Working::start('width of the moulding', $w), Purpose::Trim, MitredStrip::outline($length->result->toDouble(), $w->toDouble(), $isLowShort), [new Sawn('both ends', M_PI / 4, ', a mitre')], ['glued and nailed to the wall, mitred at its ends'], $role);
        [$long, $tall, $wide] = [$level->result->toDouble(), $high->result->toDouble(), $w->toDouble()];
        foreach ($this->lefts($end, $x) as $i => $left) {
            for ($row = 0; $row < $this->rows; $row++) {
                $n = $i * $this->rows + $row + 1;
                $at = $left + ($panel->result->toDouble() - $long) / 2;
                $z = $this->foot->toDouble() + $row * ($this->row($between) + $this->stile->toDouble()) + ($this->row($between) - $tall) / 2;
                array_push(
                    $placed,
                    $site->placed($strip("mould-foot-$n", 'Panel moulding, level', $level, false), $at, 0.0, $z, Way::Right, Way::Up, Part::Face),
                    $site->placed($strip("mould-head-$n", 'Panel moulding, level', $level, true), $at, 0.0, $z + $tall - $wide, Way::Right, Way::Up, Part::Face),
                    $site->placed($strip("mould-L-$n", 'Panel moulding, upright', $high, false), $at, 0.0, $z, Way::Up, Way::Right, Part::Face),
                    $site->placed($strip("mould-R-$n", 'Panel moulding, upright', $high, true), $at + $long - $wide, 0.0, $z, Way::Up, Way::Right, Part::Face),
                );
            }
        }

        return $placed;
    }

    /** How high a panel is, mm. */
    private function row(Working $between): float
    {
        return ($between->result->toDouble() - ($this->rows - 1) * $this->stile->toDouble()) / $this->rows;
    }

    /**
     * @param  list<float>  $x
     * @return list<float> left edges of the panels
     */
    private function lefts(Working $end, array $x): array
    {
        return [$end->result->toDouble(), ...array_map(fn (float $left) => $left + $this->stile->toDouble(), $x)];
    }

    /**
     * @param  list<float>  $x
     * @return list<Finding>
     */
    private function findings(SurfaceSite $site, Working $panel, Working $end, array $x, int $n): array
    {
        $wide = $panel->result->toDouble();
        $findings = $wide < self::NARROW || $wide > self::WIDE ? [$this->odd($site, $wide, $n)] : [];
        $boxes = $site->things(...self::BOXES);
        foreach ($x as $i => $left) {
            foreach ($boxes as [$thing, $box]) {
                $at = $site->place->u + $left;
                $into = min($box->u1 + self::OFF - $at, $at + $this->stile->toDouble() - $box->u0 + self::OFF);
                if ($into > 1e-6 && $box->z0 < $site->place->z + $this->height->toDouble() && $box->z1 > $site->place->z) {
                    $findings[] = Finding::clash(Code::StileOnSocket, sprintf('Stile %d of %s comes %s too near %s.', $i + 1, $site->place->mark, $site->terms->write($into), $thing->name), $site->place->surface->id)->about([$thing->id])->withWaysOut($this->otherCounts($site, $n));
                }
            }
        }

        return $findings;
    }

    private function odd(SurfaceSite $site, float $panel, int $n): Finding
    {
        return Finding::warning(Code::PanelsOdd, sprintf('The panels of %s are %s wide: from %s to %s looks right.', $site->place->mark, $site->terms->write(max(0.0, $panel)), $site->terms->write(self::NARROW), $site->terms->write(self::WIDE)), $site->place->surface->id)->withWaysOut($this->otherCounts($site, $n));
    }

    /** @return list<WayOut> */
    private function otherCounts(SurfaceSite $site, int $n): array
    {
        return array_map(fn (int $other) => new WayOut(sprintf('Make it %d panels', $other), Edits::surface($site->place->surface->id)->setting(['panels' => $other])), array_values(array_filter([$n + 1, $n - 1, $n + 2], fn (int $count) => $count > 0)));
    }
}
