<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Tool;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\CutsTop;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;
use Incastro\Units\TopShape;

/**
 * An opening over a bay through the top of its box and the worktop on it, for laundry, waste or a hose: its middle is that of the bay.
 * With a router whose base is Br across and whose bit cuts k, a fence stands (Br − k)/2 beside the line, a pin (d − k)/2 from the bit's
 * middle, and a frame of strips is l + Br − k by w + Br − k clear.
 */
#[About('top-opening', 'Opening in the top', 'A hole through the top and the worktop over a bay.', 'Boards')]
final readonly class TopOpening implements BoxOption, CutsTop
{
    /** Clear of every board under it, mm and inches. */
    private const CLEAR = [15.0, 5 / 8];

    /** The least that is left between an opening and an edge, mm and inches, and of the board's thickness. */
    private const BRIDGE = [50.0, 2.0];

    private const THICKNESSES = 2.5;

    /** A pass of a router goes so deep, mm and inches. */
    private const PASS = [6.0, 1 / 4];

    /** Corners that are sawn, not routed: no tighter, mm and inches; and the hole that a jigsaw starts from. */
    private const SAWN = [10.0, 3 / 8];

    private const START = [12.0, 1 / 2];

    /** Strips of a frame to rout along, mm and inches. */
    private const STRIP = [90.0, 3.5];

    /** An opening of such a size may hold a child's head, mm. */
    private const HEAD = [75.0, 230.0];

    /** Rounds are drawn with so many sides, quarters of a corner with so many. */
    private const BITS = 32;

    private const QUARTER = 4;

    public function __construct(
        #[Choice('Shape', TopShape::Round)] public TopShape $shape,
        #[Size('Across', ['300', '11'], 60, 600)] public Length $across,
        #[Size('From front to back', ['300', '11'], 60, 600)]
        #[When('shape', TopShape::Rectangular)]
        public Length $deep,
        #[Size('Radius of its corners', ['6', '1/4'], 3, 150, 'Half the bit at least; sawn ones 10 mm or 3/8 in.')]
        #[When('shape', TopShape::Rectangular)]
        public Length $radius,
        #[Size('Router bit', ['12', '1/2'], 3, 25)] public Length $bit,
        #[Size('Router base, across', ['152', '6'], 60, 300)] public Length $base,
        #[Size('Its middle from the face', null, 60, 900, 'The middle of the box, where nothing is given.')] public ?Length $front = null,
    ) {
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $top = $box->byKey()[$site->box->id.':top'] ?? null;
        $column = $this->column($site);
        if ($top === null || $column === null || ! $top->isLevel()) {
            return $box->finding(Finding::clash(Code::OpeningNowhere, sprintf('No level top lies over this part of %s.', $site->box->mark), $site->opening->tierId)->withWaysOut([new WayOut('Take the opening away', Edits::withoutOption($id))]));
        }
        [$cut, $findings] = $this->through($top, $site->box, $column, $site->terms, $id);
        foreach ([...$findings, ...$this->beside($site, $id), ...$this->tooled($site, $id)] as $finding) {
            $box = $box->finding($finding);
        }

        return Assembly::all($box->placing(array_map(fn (Placed $one) => $one === $top ? $cut : $one, $box->placed), $box->joints), new Assembly([], [], [], $this->settings($site)));
    }

    public function through(Placed $board, Box $box, Column $column, Terms $terms, string $id): array
    {
        $shape = new Polygon(array_map(fn (Point $point) => new Point(...self::flat($board->seen($point->x, $point->y, $board->bounds->z0))), $this->points($box, $column, $terms)));
        $parts = $board->piece->outline->minus($shape);
        $cut = count($parts) === 1 ? $board->withPiece($board->piece->cutTo($parts[0], new OpenedThrough($this->words($board, $terms)))) : $board;
        $left = self::left($board->piece->outline, $shape);
        $least = $terms->rules->either(...self::BRIDGE)->toDouble();
        $least = max($least, self::THICKNESSES * $board->piece->thickness->toDouble());
        if ($left >= $least - 1e-6) {
            return [$cut, []];
        }
        $smaller = $this->depthOf()->minus(Length::ofDouble(2 * ($least - $left)))->roundedDown($terms->format->step);
        $ways = $smaller->toDouble() >= 60.0 ? [new WayOut('Make it '.$terms->format->write($smaller), Edits::option($id)->measuring($this->shape === TopShape::Round ? 'with.across' : 'with.deep', $smaller))] : [];

        return [$cut, [Finding::clash(Code::ThinBridge, sprintf('Only %s of %s is left beside the opening; it takes %s, or breaks.', $terms->write(max(0.0, $left)), $board->piece->mark, $terms->write($least)), $column->openings[count($column->openings) - 1]->tierId)->withWaysOut([...$ways, new WayOut('Take the opening away', Edits::withoutOption($id))])]];
    }

    /** Its size from front to back. */
    private function depthOf(): Length
    {
        return $this->shape === TopShape::Round ? $this->across : $this->deep;
    }

    /** The column of the site, where the site is its highest opening. */
    private function column(OpeningSite $site): ?Column
    {
        foreach ($site->box->columns as $column) {
            if ($column->openings[count($column->openings) - 1]->tierId === $site->opening->tierId) {
                return $column;
            }
        }

        return null;
    }

    /** @return list<Point> in u and v */
    private function points(Box $box, Column $column, Terms $terms): array
    {
        $u = $box->u + $column->x + $column->width->result->toDouble() / 2;
        $v = $box->face() - ($this->front ?? $box->outerDepth()->dividedBy(2)->rounded($terms->format->step))->toDouble();
        [$wide, $deep] = [$this->across->toDouble() / 2, $this->depthOf()->toDouble() / 2];
        if ($this->shape === TopShape::Round) {
            return Polygon::oval(new Point($u, $v), 2 * $wide, 2 * $deep, self::BITS)->points;
        }
        $r = min($this->radius->toDouble(), $wide, $deep);
        $points = [];
        foreach ([[1, -1, -M_PI_2], [1, 1, 0.0], [-1, 1, M_PI_2], [-1, -1, M_PI]] as [$right, $out, $from]) {
            for ($i = 0; $i <= self::QUARTER; $i++) {
                $angle = $from + $i * M_PI_2 / self::QUARTER;
                $points[] = new Point($u + $right * ($wide - $r) + $r * cos($angle), $v + $out * ($deep - $r) + $r * sin($angle));
            }
        }

        return $points;
    }

    /** @return array{float, float} */
    private static function flat(Point $point): array
    {
        return [$point->x, $point->y];
    }

    /** What is left of an outline in front of a shape or behind it, where no board carries it, whichever is less; mm. */
    private static function left(Outline $outline, Polygon $shape): float
    {
        [, , $y0, $y1] = $shape->bounds();
        [, , $b0, $b1] = $outline->bounds();

        return min($y0 - $b0, $b1 - $y1);
    }

    private function words(Placed $board, Terms $terms): string
    {
        $write = $terms->format->write(...);
        $isRound = $this->shape === TopShape::Round;
        $size = $isRound ? 'Ø '.$write($this->across) : sprintf('%s by %s, corners of radius %s', $write($this->across), $write($this->deep), $write($this->radius));
        if (! $terms->rules->owns(Tool::Router)) {
            return sprintf('%s by jigsaw from a hole of %s, sanded to the line', $size, $write($terms->rules->either(...self::START)));
        }
        $passes = (int) ceil($board->piece->thickness->toDouble() / $terms->rules->either(...self::PASS)->toDouble() - 1e-9);
        $finest = $terms->format->finest();

        return $isRound
            ? sprintf('%s with a router on a pin %s from the middle of its bit, in %d passes; the disc is Ø %s', $size, $finest->write($this->across->minus($this->bit)->dividedBy(2)), $passes, $write($this->across->minus($this->bit->times(2))))
            : sprintf('%s with a router along a frame of strips %s by %s clear, in %d passes%s', $size, $write($this->along($this->across)), $write($this->along($this->deep)), $passes, $this->radius->times(2)->isGreaterThan($this->bit) ? '; its corners sawn and trimmed to a template' : '');
    }

    /** What is clear between the strips that the router's base runs along. */
    private function along(Length $size): Length
    {
        return $size->plus($this->base)->minus($this->bit);
    }

    /** @return array<string, Working> */
    private function settings(OpeningSite $site): array
    {
        if (! $site->terms->rules->owns(Tool::Router)) {
            return [];
        }
        $mark = $site->box->mark;
        $less = fn (string $label, Length $size): Working => Working::start($label, $size)->minus('the bit', $this->bit)->dividedBy('half', 2);
        if ($this->shape === TopShape::Round) {
            return ["Pin from the middle of the bit, $mark" => $less('across', $this->across)];
        }
        $strip = $site->terms->rules->either(...self::STRIP);
        $clear = fn (string $label, Length $size): Working => Working::start($label, $size)->plus('base of the router', $this->base)->minus('the bit', $this->bit);

        return [
            "Fence beside the line, $mark" => $less('base of the router', $this->base),
            "Two strips of the frame, from scrap, $mark" => $clear('across', $this->across)->plusTimes('both strips', 2, $strip),
            "Two strips between them, $mark" => $clear('from front to back', $this->deep),
        ];
    }

    /** @return list<Finding> whether it lies clear of the boards beside its bay */
    private function beside(OpeningSite $site, string $id): array
    {
        $terms = $site->terms;
        $most = $site->width()->result->minus($terms->rules->either(...self::CLEAR)->times(2))->roundedDown($terms->format->step);
        $findings = $this->across->isGreaterThan($most) ? [Finding::clash(Code::OpeningOverBoard, sprintf('The opening of %s reaches nearer than %s to the boards of a bay %s wide.', $terms->format->write($this->across), $terms->format->write($terms->rules->either(...self::CLEAR)), $terms->format->write($site->width()->result)), $site->opening->tierId)
            ->withWaysOut([...$most->toDouble() >= 60.0 ? [new WayOut('Make it '.$terms->format->write($most).' across', Edits::option($id)->measuring('with.across', $most))] : [], new WayOut('Take the opening away', Edits::withoutOption($id))])] : [];
        $least = min($this->across->toDouble(), $this->depthOf()->toDouble());

        return $least > self::HEAD[0] && $least < self::HEAD[1] ? [...$findings, Finding::note(Code::OpeningChild, sprintf('An opening of %s may hold a small child’s head: keep it out of reach, or under a lid.', $terms->write($least)), $site->opening->tierId)] : $findings;
    }

    /** @return list<Finding> whether its corners can be cut so tight */
    private function tooled(OpeningSite $site, string $id): array
    {
        $terms = $site->terms;
        $least = $terms->rules->owns(Tool::Router) ? $this->bit->dividedBy(2) : $terms->rules->either(...self::SAWN);
        if ($this->shape === TopShape::Round || ! $this->radius->isLessThan($least)) {
            return [];
        }
        $finest = $terms->format->finest();
        $how = $terms->rules->owns(Tool::Router) ? sprintf('A bit of %s leaves corners of %s', $finest->write($this->bit), $finest->write($least)) : sprintf('A jigsaw turns no tighter than %s', $finest->write($least));

        return [Finding::clash(Code::RadiusUnderBit, sprintf('%s, not of %s.', $how, $finest->write($this->radius)), $site->opening->tierId)->withWaysOut([new WayOut('Corners of '.$finest->write($least), Edits::option($id)->measuring('with.radius', $least))])];
    }
}
