<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\BodyForm;
use Incastro\Units\Hand;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * The body of a pull-out: two full ends, and between them a bottom, closed sides or low sills, shelves with guard rails, and a
 * stretcher over each open side. Under a rake its ends and closed sides follow it. Sizes are its outer ones; mm.
 */
final readonly class PullOutBody
{
    /** An open side higher than this has a stretcher under its head, mm. */
    private const STRETCHED = 600.0;

    /** How wide a stretcher is, in mm and in inches; one that carries slides is wider. */
    private const STRETCHER = [60.0, 19 / 8];

    private const CARRYING = [100.0, 4.0];

    /** A guard rail lower than this is none, mm. */
    private const LEAST_GUARD = 15.0;

    private Length $t;

    private float $thick;

    /** Thickness of guard rails. */
    private float $thin;

    private Working $inside;

    /**
     * @param  Working  $width  between its slides
     * @param  Working  $low  height at its lower side
     * @param  float  $rise  of its upper edge to the right, mm per mm
     * @param  Length  $depth  that of its slides
     * @param  Hand  $opens  the side that is open, of one with one side closed
     * @param  float  $slope  of its upper edge outwards, where a ceiling falls to the wall, mm per mm
     */
    public function __construct(
        private OpeningSite $site,
        private BodyForm $form,
        private Hand $opens,
        public Working $width,
        public Working $low,
        public float $rise,
        private Length $depth,
        private int $shelves,
        private Length $sill,
        private Length $guard,
        public bool $hasTwoPairs,
        public float $slope = 0.0,
    ) {
        $this->t = $site->terms->materials->carcass->thickness;
        $this->thick = $this->t->toDouble();
        $this->thin = $site->terms->materials->for(Purpose::Drawer)->thickness->toDouble();
        $this->inside = Working::start('length of the slides', $depth)->minusTimes('two ends', 2, $this->t)->roundedDown($site->terms->format->fine());
    }

    public function wide(): float
    {
        return $this->width->result->toDouble();
    }

    /** How high it is at a place across it, from its left; mm. */
    public function high(float $across): float
    {
        return $this->low->result->toDouble() + ($this->rise >= 0.0 ? $this->rise * $across : -$this->rise * ($this->wide() - $across));
    }

    public function highest(): float
    {
        return max($this->high(0.0), $this->high($this->wide()));
    }

    /** @return non-empty-list<float> heights of its slides over its foot: at the middle of its sills, and of a second pair under its head; mm */
    public function lines(): array
    {
        $lower = $this->sill->toDouble() / 2;

        return $this->hasTwoPairs ? [$lower, $this->low->result->toDouble() - 50.0] : [$lower];
    }

    /** Clear height between two shelves, or one and the bottom; null of a bin. */
    public function spacing(): ?Working
    {
        return $this->form === BodyForm::Bin || $this->shelves === 0 ? null : Working::start('height at the low side', $this->low->result)
            ->minus('bottom', $this->t)
            ->minusTimes($this->shelves === 1 ? 'one shelf' : "$this->shelves shelves", $this->shelves, $this->t)
            ->dividedBy('equal openings', $this->shelves + 1)
            ->roundedDown($this->site->terms->format);
    }

    public function isOpen(Hand $side): bool
    {
        return $this->form === BodyForm::Open || ($this->form === BodyForm::Case && $side === $this->opens);
    }

    /** With its left back foot at a place of the opening. */
    public function build(float $x, float $y, float $z): Assembly
    {
        $ends = [$this->end('back', $x, $y, $z), $this->end('front', $x, $y + $this->depth->toDouble() - $this->thick, $z)];
        $between = [];
        foreach ([Hand::Left, Hand::Right] as $side) {
            array_push($between, ...($this->isOpen($side) ? $this->open($side, $x, $y, $z) : [$this->closed($side, $x, $y, $z)]));
        }
        $between[] = $bottom = $this->level('bottom', 'Pull-out bottom', $this->thick, $this->thick, $x, $y, $z, Part::Loose);
        $joints = [];
        foreach ($between as $piece) {
            foreach ($ends as $end) {
                $joints[] = new Joint($piece->piece->key, $end->piece->key, JointKind::Pocket, 'pull-outs');
            }
        }
        $shelves = $this->levels($x, $y, $z, $ends, $between);

        return Assembly::all(new Assembly([...$ends, ...$between], $joints), $shelves);
    }

    /** How high it is in front, mm. */
    public function front(): float
    {
        return $this->low->result->toDouble() + $this->slope * ($this->depth->toDouble() - $this->thick);
    }

    private function end(string $which, float $x, float $y, float $z): Placed
    {
        $low = $which === 'front' && $this->slope > 0.0 ? $this->low->plus('higher in front, as the slope allows', Length::ofDouble($this->front() - $this->low->result->toDouble())) : $this->low;
        $long = $this->rise === 0.0 ? $low : $this->low->plus('higher at its high side', Length::ofDouble(abs($this->rise) * $this->wide()));
        [$left, $right] = [$this->high(0.0), $this->high($this->wide())];
        $works = [new Finished('top, short', Finish::Banded)];
        $piece = $this->rise === 0.0
            ? $this->moving("end-$which", 'Pull-out end', $long, $this->width, $works)
            : $this->site->make->shaped("pull-out-end-$which", 'Pull-out end', $long, $this->width, Purpose::Carcass, new Outline(Polygon::raked($left, $right, $this->wide())), [...$works, new Sawn('top, short', atan(abs($this->rise)), ' to the rake')], [], $this->site->mark("pull-out-end-$which"));

        return $this->site->placed($piece, $x, $y, $z, Way::Up, Way::Right, Way::Out, Part::Loose);
    }

    /** @param list<Finished> $works */
    private function moving(string $role, string $name, Working $length, Working $width, array $works = [], Purpose $purpose = Purpose::Carcass, Grain $grain = Grain::Length): Piece
    {
        return $this->site->make->moving("pull-out-$role", $name, $length, $width, $purpose, $grain, $works, [], $this->site->mark("pull-out-$role"));
    }

    /** Where what stands at a side begins, so thick; from its left, mm. */
    private function at(Hand $side, float $thick): float
    {
        return $side === Hand::Left ? 0.0 : $this->wide() - $thick;
    }

    /** A side as high as the body there; under a rake its upper edge is bevelled, and its blank goes to the long point. */
    private function closed(Hand $side, float $x, float $y, float $z): Placed
    {
        $from = $this->at($side, $this->thick);
        [$outer, $inner] = [$this->high($from), $this->high($from + $this->thick)];
        $letter = $side === Hand::Left ? 'L' : 'R';
        // A side that is higher than long stands as its ends do: sheets are no wider.
        $grain = max($outer, $inner) > $this->inside->result->toDouble() ? Grain::Width : Grain::Length;
        if ($this->slope > 0.0) {
            // From end to end along the slope, which is straight.
            $low = $this->low->result->toDouble();
            $long = $this->inside->result->toDouble();
            [$back, $front] = [$low + $this->slope * $this->thick, $low + $this->slope * ($this->thick + $long)];
            $height = Working::start('height of its back end', $this->low->result)->plus('higher in front, as the slope allows', Length::ofDouble($front - $low));
            $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($long, 0.0), new Point($long, $front), new Point(0.0, $back)]));
            $piece = $this->site->make->shaped("pull-out-side-$letter", 'Pull-out side', $this->inside, $height, Purpose::Carcass, $outline, [new Sawn('upper, long', atan($this->slope), ' to the slope')], [], $this->site->mark("pull-out-side-$letter"), $grain);
        } elseif ($this->rise === 0.0) {
            $piece = $this->moving("side-$letter", 'Pull-out side', $this->inside, $this->low, [new Finished('upper, long', Finish::Banded)], Purpose::Carcass, $grain);
        } else {
            $height = Working::start('height of its lower face', Length::ofDouble(min($outer, $inner)))->plus('to the long point of the bevel', Length::ofDouble(abs($inner - $outer)));
            $high = max($outer, $inner);
            $long = $this->inside->result->toDouble();
            $angle = atan(abs($this->rise));
            $bevel = new Bevel([new Point(0.0, $high), new Point($long, $high)], tan($angle), $outer > $inner);
            $piece = $this->site->make->shaped("pull-out-side-$letter", 'Pull-out side', $this->inside, $height, Purpose::Carcass, Outline::rectangle(0.0, 0.0, $long, $high), [new Bevelled('upper, long', $angle, bevels: [$bevel])], [], $this->site->mark("pull-out-side-$letter"), $grain);
        }

        return $this->site->placed($piece, $x + $from, $y + $this->thick, $z, Way::Out, Way::Up, Way::Right, Part::Loose);
    }

    /** @return non-empty-list<Placed> the sill of an open side, and over a high one a stretcher */
    private function open(Hand $side, float $x, float $y, float $z): array
    {
        $letter = $side === Hand::Left ? 'L' : 'R';
        $from = $this->at($side, $this->thick);
        $banded = [new Finished('upper, long', Finish::Banded)];
        $sill = $this->moving("sill-$letter", 'Sill', $this->inside, Working::start('height of a sill', $this->sill), $banded);
        $placed = [$this->site->placed($sill, $x + $from, $y + $this->thick, $z, Way::Out, Way::Up, Way::Right, Part::Loose)];
        // Under the lower of its two faces.
        $head = min($this->high($from), $this->high($from + $this->thick));
        $wide = $this->site->terms->rules->either(...($this->hasTwoPairs ? self::CARRYING : self::STRETCHER));
        if (max($this->high($from), $this->high($from + $this->thick)) > self::STRETCHED) {
            $piece = $this->moving("stretcher-$letter", 'Stretcher', $this->inside, Working::start('width of a stretcher', $wide));
            $placed[] = $this->site->placed($piece, $x + $from, $y + $this->thick, $z + $head - $piece->width->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Loose);
        }

        return $placed;
    }

    /** A level board from end to end that keeps so far from its sides, mm. */
    private function level(string $role, string $name, float $left, float $right, float $x, float $y, float $z, Part $part): Placed
    {
        $width = $this->width->minus('what stands at its sides', Length::ofDouble($left + $right));

        return $this->site->placed($this->moving($role, $name, $this->inside, $width, [new Finished('both long', Finish::Banded)]), $x + $left, $y + $this->thick, $z, Way::Out, Way::Right, Way::Up, $part);
    }

    /**
     * Shelves with a guard rail along every open side.
     *
     * @param  list<Placed>  $ends
     * @param  list<Placed>  $between
     */
    private function levels(float $x, float $y, float $z, array $ends, array $between): Assembly
    {
        $spacing = $this->spacing()?->result->toDouble();
        if ($spacing === null) {
            return new Assembly([]);
        }
        $placed = $joints = [];
        for ($i = 1; $i <= $this->shelves; $i++) {
            $foot = $this->thick + $i * $spacing + ($i - 1) * $this->thick;
            // Beside a sill or a stretcher a shelf is as narrow as these are thick, else as its guard rail is.
            $keeps = fn (Hand $side): float => ! $this->isOpen($side) || $this->meets($between, $side, $z + $foot, $z + $foot + $this->thick) !== null ? $this->thick : $this->thin;
            $placed[] = $shelf = $this->level("shelf-$i", 'Pull-out shelf', $keeps(Hand::Left), $keeps(Hand::Right), $x, $y, $z + $foot, Part::Loose);
            foreach ($ends as $end) {
                $joints[] = new Joint($shelf->piece->key, $end->piece->key, JointKind::Pocket, 'pull-outs');
            }
            foreach ([Hand::Left, Hand::Right] as $side) {
                $rail = $this->isOpen($side) ? $this->guardRail($i, $side, $x, $y, $z + $foot, $between) : null;
                if ($rail === null) {
                    continue;
                }
                $placed[] = $rail;
                $joints[] = $rail->bounds->z0 - $this->base() < $z + $foot + 1e-6
                    ? new Joint($rail->piece->key, $shelf->piece->key, JointKind::Screws, 'guard rails')
                    : new Joint($rail->piece->key, $ends[0]->piece->key, JointKind::Pocket, 'guard rails');
            }
        }

        return new Assembly($placed, $joints, [], ['Clear between shelves of the pull-out, '.$this->site->name() => $this->spacing() ?? throw new \LogicException('Shelves are spaced.')]);
    }

    /**
     * The rail that keeps things on a shelf; where a sill stands over the shelf's edge it begins on that, and a stretcher is one itself.
     *
     * @param  list<Placed>  $between
     */
    private function guardRail(int $i, Hand $side, float $x, float $y, float $foot, array $between): ?Placed
    {
        $letter = $side === Hand::Left ? 'L' : 'R';
        $height = Working::start('height of a guard rail', $this->guard)->atMost('clear between the shelves', $this->spacing()->result ?? $this->guard);
        $head = $foot + $height->result->toDouble();
        $beside = $this->meets($between, $side, $foot, $head);
        $from = $beside !== null && $beside->bounds->z0 - $this->base() <= $foot ? $beside->bounds->z1 - $this->base() : $foot;
        if ($head - $from < self::LEAST_GUARD || $this->meets($between, $side, $from, $head) !== null) {
            return null;
        }
        $height = $from > $foot + 1e-6 ? $height->minus('what the sill stands over the shelf', Length::ofDouble($from - $foot)) : $height;

        return $this->site->placed($this->moving("guard-$i-$letter", 'Guard rail', $this->inside, $height, [new Finished('upper, long', Finish::Banded)], Purpose::Drawer), $x + $this->at($side, $this->thin), $y + $this->thick, $from, Way::Out, Way::Up, Way::Right, Part::Loose);
    }

    /** How high the board below the opening lies in the run, mm. */
    private function base(): float
    {
        return $this->site->at(0.0, 0.0, 0.0)->z;
    }

    /**
     * What stands at a side between two heights of the opening.
     *
     * @param  list<Placed>  $between
     */
    private function meets(array $between, Hand $side, float $from, float $to): ?Placed
    {
        $base = $this->base();
        foreach ($between as $one) {
            if (str_ends_with($one->piece->key, $side === Hand::Left ? '-L' : '-R') && $one->bounds->z0 - $base < $to - 1e-6 && $one->bounds->z1 - $base > $from + 1e-6) {
                return $one;
            }
        }

        return null;
    }

    /** What carries its slides at a side, by height: sills or sides, and stretchers, which a low side does without. */
    public function carrier(Assembly $built, Hand $side, bool $isUpper): string
    {
        $letter = $side === Hand::Left ? 'L' : 'R';
        $roles = $this->isOpen($side) ? [...$isUpper ? ["stretcher-$letter"] : [], "sill-$letter"] : ["side-$letter"];
        foreach ($roles as $role) {
            foreach ($built->placed as $placed) {
                if (str_ends_with($placed->piece->key, ":pull-out-$role")) {
                    return $placed->piece->key;
                }
            }
        }

        throw new \LogicException('A pull-out has '.implode(' or ', $roles).'.');
    }
}
