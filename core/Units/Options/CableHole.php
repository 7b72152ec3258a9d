<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Bored;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoardOf;
use Incastro\Units\BoxOption;
use Incastro\Units\Hardware;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A round hole for cables with its grommet, bored before the box is put together. Its rim keeps 15 mm or 5/8 in of wood to every
 * edge: nearer to the back edge than that goes its centre no further.
 */
#[About('cable-hole', 'Cable hole', 'A round hole with a grommet, bored before assembly.', 'Cables')]
final readonly class CableHole implements BoxOption
{
    /** A board this near to the opening is the one beside it, mm. */
    private const BESIDE = 0.6;

    /** Rounds are bored as drawn with so many bits. */
    private const BITS = 32;

    public function __construct(
        #[Choice('Through', BoardOf::Back)] public BoardOf $board,
        #[Size('Diameter', ['60', '2 3/8'], 20, 80)] public Length $diameter,
        #[Size('Centre from the back edge', ['50', '2'], 20, 600, 'Of a back, from its left.')] public Length $edge,
        #[Size('Centre from the lower or left end', ['150', '6'], 20, 2400, 'Within the opening.')] public Length $end,
    ) {
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $board = $this->found($site, $box);
        if ($board === null) {
            return $box->finding($this->refused($site, $id, sprintf('There is no %s where this hole would be.', substr($this->board->label(), 4)), []));
        }
        $least = $this->diameter->dividedBy(2)->plus(self::rim($site->terms->rules));
        $from = Working::start('from the edge', $this->edge)->atLeast('rim of the hole and its wood', $least)->result;
        $at = $this->at($site, $from->toDouble(), $this->end->toDouble());
        $centre = $board->seen($at->x, $at->y, $at->z);
        [$x0, $x1, $y0, $y1] = $board->piece->outline->bounds();
        $wood = min($centre->x - $x0, $x1 - $centre->x, $centre->y - $y0, $y1 - $centre->y);
        if ($wood < $least->toDouble() - 1e-6) {
            return $box->finding($this->refused($site, $id, sprintf('The hole for cables leaves %s of wood at an edge of %s; it takes %s.', $site->terms->write(max(0.0, $wood - $this->diameter->toDouble() / 2)), $board->piece->mark, $site->terms->format->write(self::rim($site->terms->rules))), [new WayOut('As usual', Edits::option($id)->setting(['edge' => null, 'end' => null]))]));
        }
        $radius = $this->diameter->toDouble() / 2;
        if ($this->board === BoardOf::Back && $site->meetsNailer($this->end->toDouble() - $radius, $this->end->toDouble() + $radius)) {
            $over = $site->terms->rules->get(Rule::NailerWidth)->plus($this->diameter->dividedBy(2))->roundedUp($site->terms->format->step);

            return $box->finding($this->refused($site, $id, 'The hole for cables lies in a nailer, through which the box is fixed.', [new WayOut(sprintf('Centre it %s up', $site->terms->format->write($over)), Edits::option($id)->measuring('with.end', $over))]));
        }
        $parts = $board->piece->outline->minus(Polygon::oval($centre, 2 * $radius, 2 * $radius, self::BITS));
        if (count($parts) !== 1) {
            return $box->finding($this->refused($site, $id, 'The hole for cables would part '.$board->piece->mark.'.', []));
        }
        $bored = $board->withPiece($board->piece->cutTo($parts[0], new Bored($this->diameter, 'cables')));
        $placed = array_map(fn (Placed $one) => $one === $board ? $bored : $one, $box->placed);

        return $box->placing($placed, $box->joints)->bought([new Hardware('cable grommet Ø '.$site->terms->format->write($this->diameter), 1, 'cables', ArticleKind::Grommet)]);
    }

    private static function rim(HouseRules $rules): Length
    {
        return $rules->either(15, 5 / 8);
    }

    private function at(OpeningSite $site, float $from, float $end): Vector
    {
        [$wide, $high] = [$site->width()->result->toDouble(), $site->height()->result->toDouble()];

        return match ($this->board) {
            BoardOf::Back => $site->at($from, 0.0, $end),
            BoardOf::Left => $site->at(0.0, $from, $end),
            BoardOf::Right => $site->at($wide, $from, $end),
            BoardOf::Below => $site->at($end, $from, 0.0),
            BoardOf::Over => $site->at($end, $from, $high),
        };
    }

    /** The board of the box that stands there: its face lies beside the opening, and holds the place. */
    private function found(OpeningSite $site, Assembly $box): ?Placed
    {
        $at = $this->at($site, $this->edge->toDouble(), $this->end->toDouble());
        $axis = match ($this->board) {
            BoardOf::Back => Axis::V,
            BoardOf::Left, BoardOf::Right => Axis::U,
            BoardOf::Below, BoardOf::Over => Axis::Z,
        };
        $place = ['u' => $at->x, 'v' => $at->y, 'z' => $at->z][$axis->value];
        foreach ($box->placed as $placed) {
            $isOfBox = $placed->part === ($this->board === BoardOf::Back ? Part::Back : Part::Body);
            if (! $isOfBox || ! $placed->pose->isSquare() || Pose::axis($placed->pose->thickness) !== $axis) {
                continue;
            }
            [$low, $high] = $placed->along($axis);
            $isBeside = abs(($this->board === BoardOf::Right || $this->board === BoardOf::Over ? $low : $high) - $place) < self::BESIDE + $site->joints()->deep()->toDouble();
            $centre = $placed->seen($at->x, $at->y, $at->z);
            if ($isBeside && $placed->piece->outline->outer->contains(new Point($centre->x, $centre->y))) {
                return $placed;
            }
        }

        return null;
    }

    /** @param list<WayOut> $ways */
    private function refused(OpeningSite $site, string $id, string $sentence, array $ways): Finding
    {
        return Finding::clash(Code::HoleRefused, $sentence, $site->opening->tierId)->withWaysOut([...$ways, new WayOut('Take the hole away', Edits::withoutOption($id))]);
    }
}
