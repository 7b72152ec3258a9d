<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ClosesWall;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
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
use Incastro\Rules\Materials\Board;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Lay;
use Incastro\Units\Make\FirstBoard;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * Tongue-and-groove boards on a wall, upright or level, on battens or straight on it. The first and the last board are ripped:
 * to what is left over, or, where that would be less than half a board, both alike, so that neither is a sliver (handbook,
 * "Panelling boards").
 */
#[About('cladding', 'Cladding', 'Boards on a wall, with no sliver at either end.', 'On a wall', 'C')]
final readonly class Cladding implements ClosesWall, SurfaceUnit
{
    /** A ripped board no narrower than this, mm, nor than a third of its cover. */
    private const LEAST = 40.0;

    /** Between two battens behind thick boards and behind thin ones, mm and inches; boards are thin under 12 mm. */
    private const APART = [[600.0, 24.0], [400.0, 16.0]];

    private const THIN = 12.0;

    /** Cover of a board that is ripped from a sheet, mm and inches. */
    private const COVER = [90.0, 3.5];

    private const FROM_SHEET = [45.0, 1.75];

    /** Openings beside which a strip of a board is seen along its whole length. */
    private const SEEN = [ThingKind::Window, ThingKind::Door, ThingKind::Hatch, ThingKind::Fireplace];

    public function __construct(
        #[Choice('Boards run', Lay::Upright)] public Lay $lay,
        #[Size('Gap at all four edges', ['10', '3/8'], 2, 20, 'Boards swell; trim covers it.')] public Length $gap,
        #[Toggle('On battens', true)] public bool $battens,
        #[Size('The floor falls along the first board', ['0', '0'], 0, 45, '0 where a trim covers its edge; else it is scribed.')] public Length $fall,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $board = $materials->for(Purpose::Cladding);
        $least = Length::ofDouble(2 * self::least(self::cover($board instanceof Board ? $board : null, $rules->unit)))->plus($this->gap->times(2));

        return new SurfaceDemand(
            Extent::atLeast($least, 'two ripped boards and their gaps need %s'),
            Extent::atLeast($least, 'two ripped boards and their gaps need %s'),
            $this->battens ? $board->thickness->plus($materials->for(Purpose::Framing)->thickness) : $board->thickness,
        );
    }

    public function closes(): null
    {
        return null;
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $isUpright = $this->lay === Lay::Upright;
        [$across, $along] = $isUpright ? [$site->place->width, $site->place->height] : [$site->place->height, $site->place->width];
        $material = $terms->materials->for(Purpose::Cladding);
        $cover = self::cover($material instanceof Board ? $material : null, $terms->rules->unit);
        $edges = $this->edges($site);
        $widths = self::widths($across->minusTimes('gap at both ends', 2, $this->gap), Length::ofDouble($cover), $terms->format, $this->fall, $edges);
        if ($widths === null) {
            return new Assembly([]);
        }
        $long = $along->minusTimes('gap at both ends', 2, $this->gap);
        $deep = $this->battens ? $terms->materials->for(Purpose::Framing)->thickness->toDouble() : 0.0;
        $boards = $this->boards($site, $widths, $long, $deep);
        $battens = $this->battens ? $this->battens($site, $across, $along) : [];
        $joints = [];
        foreach ($battens as $batten) {
            foreach (array_filter($boards, fn (Placed $board) => $board->touches($batten, Joinery::TOUCH)) as $board) {
                $joints[] = new Joint($board->piece->key, $batten->piece->key, JointKind::Nails, 'cladding');
            }
        }

        return new Assembly([...$battens, ...$boards], $joints, $this->hardware($site, $boards, $battens), [
            'First board, '.$site->place->mark => $widths[0], 'Last board, '.$site->place->mark => $widths[count($widths) - 1],
        ], $this->slivers($site, $widths, $cover, $edges));
    }

    /** How much of a board shows once it is fixed, mm. */
    private static function cover(?Board $board, Unit $unit): float
    {
        return $board?->cover->toDouble() ?? ($unit === Unit::Inch ? self::COVER[1] * 25.4 : self::COVER[0]);
    }

    private static function least(float $cover): float
    {
        return max(self::LEAST, $cover / 3);
    }

    /**
     * Widths of all boards from the first on, so that none is a sliver where that can be (`FirstBoard`).
     *
     * @param  Working  $clear  B: what the boards cover, gaps taken off
     * @param  ?Length  $fall  that the first board loses to its scribe
     * @param  list<Length>  $edges  of openings by pairs, from where the first board begins
     * @return non-empty-list<Working>|null null where nothing is to be covered
     */
    public static function widths(Working $clear, Length $cover, LengthFormat $format, ?Length $fall = null, array $edges = []): ?array
    {
        $clear = $clear->roundedDown($format);
        $most = $fall === null ? $cover : $cover->minus($fall);
        if (! $clear->result->isPositive() || ! $most->isPositive()) {
            return null;
        }
        if (! $clear->result->isGreaterThan($most)) {
            return [$clear];
        }
        $boards = FirstBoard::of($clear->result->nanometres(), $cover->nanometres(), $most->nanometres(), (int) ceil(self::least($cover->toDouble()) * 1e6), array_map(fn (Length $edge) => $edge->nanometres(), $edges), $format->step->nanometres());
        $count = count($boards->widths);
        $whole = Working::start('cover of a board', $cover);
        $first = Length::ofNanometres($boards->widths[0]);
        $rest = $count === 2 ? $clear : $clear->minusTimes($count === 3 ? 'one whole board' : sprintf('%d whole boards', $count - 2), $count - 2, $cover);
        $last = $rest->minus('the first board', $first);
        $begins = match (true) {
            $first->isEqualTo($cover) => $whole,
            $first->isEqualTo($most) => $whole->minus('what the floor falls', $cover->minus($most)),
            abs(2 * $first->nanometres() - $rest->result->nanometres()) <= 2 * $format->step->nanometres() => $rest->dividedBy('first and last alike', 2)->roundedDown($format),
            default => Working::start('so wide that no strip is narrower than '.$format->write(Length::ofNanometres($boards->leastStrip)), $first),
        };

        return [$begins, ...array_fill(0, $count - 2, $whole), $last];
    }

    /**
     * @param  non-empty-list<Working>  $widths
     * @return non-empty-list<Placed>
     */
    private function boards(SurfaceSite $site, array $widths, Working $long, float $deep): array
    {
        $gap = $this->gap->toDouble();
        $at = $gap;
        $placed = [];
        foreach ($widths as $i => $width) {
            [$role, $name] = match ($i) {
                0 => ['first', 'First board'],
                count($widths) - 1 => ['last', 'Last board'],
                default => ["board-$i", 'Board'],
            };
            $isScribed = $i === 0 && $this->fall->isPositive();
            $piece = $isScribed ? $this->scribed($site, $long, $width) : $site->make->inner($role, $name, $long, $width, Purpose::Cladding, Grain::Length, [], [$i === 0 ? 'nailed at its edge, then through the tongue' : ($role === 'last' ? 'slipped in, nailed under the trim' : 'nailed through the tongue')]);
            $placed[] = $this->standing($site, $piece, $gap, $at, $deep, Part::Cladding);
            $at += $width->result->toDouble();
        }

        return $placed;
    }

    /** The first board where it stands on a floor that falls: what it loses to its scribe is left on. */
    private function scribed(SurfaceSite $site, Working $long, Working $width): Piece
    {
        $length = $long->roundedDown($site->terms->format);

        return $site->make->covering('first', 'First board', $length, $width->plus('left on to scribe', $this->fall), Purpose::Cladding, Outline::rectangle(0.0, 0.0, $length->result->toDouble(), $width->result->toDouble()), [new Finished('groove, long', Finish::TouchesHouse)], ['scribed at its groove, nailed at its edge, then through the tongue']);
    }

    /**
     * Where openings that are seen begin and end across the boards, from where the first board begins.
     *
     * @return list<Length>
     */
    private function edges(SurfaceSite $site): array
    {
        $isUpright = $this->lay === Lay::Upright;
        $from = ($isUpright ? $site->place->u : $site->place->z) + $this->gap->toDouble();
        $edges = [];
        foreach ($site->things(...self::SEEN) as [, $block]) {
            foreach ($isUpright ? [$block->u0, $block->u1] : [$block->z0, $block->z1] as $edge) {
                $edges[] = Length::ofDouble($edge - $from);
            }
        }

        return $edges;
    }

    /** A board at so much along itself and across all. */
    private function standing(SurfaceSite $site, Piece $piece, float $along, float $across, float $out, Part $part): Placed
    {
        return $this->lay === Lay::Upright
            ? $site->placed($piece, $across, $out, $along, Way::Up, Way::Right, $part)
            : $site->placed($piece, $along, $out, $across, Way::Right, Way::Up, $part);
    }

    /** @return list<Placed> across the boards, no further apart than these may span */
    private function battens(SurfaceSite $site, Working $across, Working $along): array
    {
        $terms = $site->terms;
        $of = $terms->materials->for(Purpose::Framing);
        $isInch = $terms->rules->unit === Unit::Inch;
        $wide = $of instanceof Lineal ? $of->width : Length::ofDouble($isInch ? self::FROM_SHEET[1] * 25.4 : self::FROM_SHEET[0]);
        $apart = self::APART[$terms->materials->for(Purpose::Cladding)->thickness->toDouble() < self::THIN ? 1 : 0];
        $free = $along->result->toDouble() - 2 * $this->gap->toDouble() - $wide->toDouble();
        $count = max(2, (int) ceil($free / ($isInch ? $apart[1] * 25.4 : $apart[0]) - 1e-9) + 1);
        $length = $across->minusTimes('gap at both ends', 2, $this->gap);
        // What is longer than a board is laid in parts, end to end.
        $parts = max(1, (int) ceil($length->result->toDouble() / $terms->rule(Rule::LongestPiece)));
        $length = $parts === 1 ? $length : $length->dividedBy("$parts parts", $parts);
        $placed = [];
        for ($i = 0; $i < $count * $parts; $i++) {
            $piece = $site->make->inner('batten-'.($i + 1), 'Batten', $length, Working::start('width of the batten', $wide), Purpose::Framing, Grain::Length, [], ['screwed to studs, shimmed flat']);
            $at = $this->gap->toDouble() + intdiv($i, $parts) * $free / ($count - 1);
            $from = $this->gap->toDouble() + $i % $parts * $length->result->toDouble();
            // Across the boards: turned by a right angle to them.
            $placed[] = $this->lay === Lay::Upright
                ? $site->placed($piece, $from, 0.0, $at, Way::Right, Way::Up, Part::Cleat)
                : $site->placed($piece, $at, 0.0, $from, Way::Up, Way::Right, Part::Cleat);
        }

        return $placed;
    }

    /**
     * @param  non-empty-list<Placed>  $boards
     * @param  list<Placed>  $battens
     * @return list<Hardware>
     */
    private function hardware(SurfaceSite $site, array $boards, array $battens): array
    {
        $format = $site->terms->format;
        $supports = max(1, count(array_unique(array_map(fn (Placed $batten) => $this->lay === Lay::Upright ? $batten->bounds->z0 : $batten->bounds->u0, $battens))));
        $long = $site->terms->materials->for(Purpose::Cladding)->thickness->plus($site->terms->rules->either(25, 1))->roundedUp($format->step);

        $screws = new Screws($site->terms->materials, $format);

        return [
            new Hardware('brad '.$format->write($long), count($boards) * $supports + 2 * 2 * $supports, 'cladding', ArticleKind::Brad, $long),
            ...array_map(fn (Placed $batten) => $screws->toStuds($batten->piece, 'battens to the wall'), $battens),
        ];
    }

    /**
     * @param  non-empty-list<Working>  $widths
     * @param  list<Length>  $edges
     * @return list<Finding>
     */
    private function slivers(SurfaceSite $site, array $widths, float $cover, array $edges): array
    {
        $least = FirstBoard::leastStrip(array_map(fn (Working $width) => $width->result->nanometres(), $widths), array_map(fn (Length $edge) => $edge->nanometres(), $edges)) / 1e6;
        $id = $site->place->surface->id;
        $findings = $least >= self::least($cover) - 1e-6 ? [] : [Finding::warning(Code::Sliver, sprintf('The narrowest strip of %s is %s wide; %s is the least that looks like a board.', $site->place->mark, $site->terms->write($least), $site->terms->write(self::least($cover))), $id)];
        if ($cover - $this->fall->toDouble() < self::least($cover)) {
            $findings[] = Finding::clash(Code::FirstTooNarrow, sprintf('The floor falls %s; the first board of %s cannot take it.', $site->terms->format->write($this->fall), $site->place->mark), $id)
                ->withWaysOut([new WayOut('A trim covers its edge', Edits::surface($id)->setting(['fall' => ['nm' => 0, 'typed' => '0']]))]);
        }

        return $findings;
    }
}
