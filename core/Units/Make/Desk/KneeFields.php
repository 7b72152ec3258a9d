<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Desk;

use Incastro\Fit\Demand\Standing;
use Incastro\Fit\FittedCell;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Bored;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * Where nothing stands under a worktop: cleats carry it there at the walls behind and beside, a strip under its front edge stiffens it,
 * and its cables go through a hole. Reckoned with a desk's load, and a person who leans on its front edge.
 */
final readonly class KneeFields
{
    /** Height of a cleat, and how far behind the face one at an end stops; mm and inches. */
    private const CLEAT = [70.0, 2.75];

    private const CLEAT_BACK = [60.0, 2.5];

    /** A hole for cables, and its centre from the back: past the cleat, its rim and 10 mm. */
    private const HOLE = [60.0, 2 + 3 / 8];

    private const HOLE_FROM_BACK = [60.0, 2 + 3 / 8];

    /** Round holes are drawn with so many sides. */
    private const BITS = 32;

    /** Sides under it, besides those at its ends, are no more. */
    private const BETWEEN = 4;

    /** Cells that end this near under the worktop are under it, mm. */
    private const LEVEL = 1.0;

    /** @var list<array{float, float, FittedCell}> from where to where, and the first cell there */
    private array $fields;

    public function __construct(private MemberSite $site, private Over $top)
    {
        $fields = [];
        foreach ($site->run->cells as $cell) {
            $isFree = $cell->boxId === null && $cell->tier->holds instanceof HoldsCell && $cell->tier->holds->standing() === Standing::Nothing;
            $isUnder = abs($cell->z + min($cell->left, $cell->right) - $top->z) < self::LEVEL && $cell->u > $top->u - self::LEVEL && $cell->end() < $top->end() + self::LEVEL;
            if (! $isFree || ! $isUnder) {
                continue;
            }
            $last = $fields === [] ? null : $fields[count($fields) - 1];
            if ($last !== null && abs($last[1] - $cell->u) < self::LEVEL) {
                array_pop($fields);
            }
            $fields[] = $last !== null && abs($last[1] - $cell->u) < self::LEVEL ? [$last[0], $cell->end(), $last[2]] : [$cell->u, $cell->end(), $cell];
        }
        $this->fields = $fields;
    }

    /** The board with a hole for cables over each. */
    public function bored(Placed $board): Placed
    {
        $diameter = $this->is(self::HOLE);
        foreach ($this->fields as [$from, $to]) {
            $centre = $board->seen(($from + $to) / 2, $this->top->v + $this->is(self::HOLE_FROM_BACK)->toDouble(), $this->top->z);
            $parts = $board->piece->outline->minus(Polygon::oval(new Point($centre->x, $centre->y), $diameter->toDouble(), $diameter->toDouble(), self::BITS));
            $board = count($parts) === 1 ? $board->withPiece($board->piece->cutTo($parts[0], new Bored($diameter, 'cables'))) : $board;
        }

        return $board;
    }

    /**
     * @param  bool  $hasCleats  whether the walls carry it there
     * @param  bool  $hasSides  whether something stands under an end that nothing else carries
     * @param  int  $between  so many more in each field
     * @param  Length  $strip  height of the strip under the front edge; zero for none
     */
    public function build(Placed $board, bool $hasCleats, bool $hasSides, bool $legs, int $between, Length $strip, bool $isBored): Assembly
    {
        // What stands under an end carries what stands on something, not a worktop of its own.
        $stands = $this->top->carriers !== [];
        $hasSides = $hasSides && $stands;
        $uprights = new Uprights($this->site, $this->top, $board, $this->face(), $legs);
        $parts = [];
        foreach ($this->fields as $i => [$from, $to, $cell]) {
            $number = count($this->fields) === 1 ? '' : '-'.($i + 1);
            $hanging = $this->hanging($from, $to, $hasCleats);
            $under = [];
            foreach ($hasSides ? $hanging : [] as $end) {
                $under[] = $uprights->at("side-$end$number", $end === 'left' ? $from : $to - $uprights->thickness());
                [$from, $to] = $end === 'left' ? [$from + $uprights->thickness(), $to] : [$from, $to - $uprights->thickness()];
            }
            $clear = ($to - $from - $between * $uprights->thickness()) / ($between + 1);
            for ($k = 0; $k < $between; $k++) {
                $under[] = $uprights->at('between'.$number.($between === 1 ? '' : '-'.($k + 1)), $from + ($k + 1) * $clear + $k * $uprights->thickness());
            }
            for ($k = 0; $k <= $between; $k++) {
                $parts[] = $this->field($number.($between === 0 ? '' : chr(ord('a') + $k)), $board, $from + $k * ($clear + $uprights->thickness()), $clear, $hasCleats, $strip, $between);
            }
            $parts[] = Assembly::all(...$under)->bought($isBored ? [new Hardware('cable grommet Ø '.$this->site->terms->format->write($this->is(self::HOLE)), 1, 'cables', ArticleKind::Grommet)] : []);
            $parts[] = new Assembly([], findings: [...$this->knees($cell, $strip), ...$this->narrow($cell, $clear, $between), ...($hasSides ? [] : $this->carried($hanging, $stands))]);
        }

        return Assembly::all(...$parts);
    }

    /** Between two things that carry it: its cleats, its strip, and how the board bears there. */
    private function field(string $number, Placed $board, float $from, float $clear, bool $hasCleats, Length $strip, int $between): Assembly
    {
        $cleats = $hasCleats ? $this->cleats($number, $from, $from + $clear) : [];
        $edge = $strip->isZero() ? null : $this->strip($number, $from, $from + $clear, $strip);
        $screws = new Screws($this->site->terms->materials, $this->site->terms->format);

        return new Assembly(
            [...$cleats, ...($edge === null ? [] : [$edge])],
            [...array_map(fn (Placed $cleat) => new Joint($cleat->piece->key, $board->piece->key, JointKind::Screws, 'worktop from below'), $cleats), ...($edge === null ? [] : [new Joint($edge->piece->key, $board->piece->key, JointKind::Glue, 'strip under the worktop')])],
            array_map(fn (Placed $cleat) => $screws->toWall($cleat->piece, 'cleats to the wall'), $cleats),
            bearings: $this->bearing($board, $clear, $hasCleats, $strip, $between),
        );
    }

    /** @return list<Placed> along the wall behind, and along one beside */
    private function cleats(string $number, float $from, float $to): array
    {
        $site = $this->site;
        $t = $site->terms->board();
        $high = $this->is(self::CLEAT);
        $wide = Working::start('height of a cleat', $high);
        $z = $this->top->z - $high->toDouble();
        $piece = fn (string $role, string $name, Working $length) => $site->make->inner($role.$number, $name, $length, $wide, Purpose::Carcass, Grain::Length, [], ['into every stud, level']);
        $cleats = [new Placed($piece('back-cleat', 'Back cleat', Working::start('over the knee space', Length::ofDouble($to - $from))), Pose::at($from, $this->top->v, $z, Way::Right, Way::Up, Way::Out), Part::Cleat, $this->top->id)];
        $deep = $this->face() - $this->top->v - $t - $this->is(self::CLEAT_BACK)->toDouble();
        foreach (['left' => [$this->top->meetsLeft && abs($from - $this->top->u) < self::LEVEL, $from], 'right' => [$this->top->meetsRight && abs($to - $this->top->end()) < self::LEVEL, $to - $t]] as $end => [$isAtWall, $u]) {
            if ($isAtWall && $deep > 2 * $t) {
                $cleats[] = new Placed($piece("side-cleat-$end", 'Side cleat', Working::start('depth of the furniture', Length::ofDouble($this->face() - $this->top->v))->minus('back cleat', $site->terms->materials->carcass->thickness)->minus('ends behind the face', $this->is(self::CLEAT_BACK))), Pose::at($u, $this->top->v + $t, $z, Way::Out, Way::Up, Way::Right), Part::Cleat, $this->top->id);
            }
        }

        return $cleats;
    }

    /** Between what stands beside the knees, flush with its face. */
    private function strip(string $number, float $from, float $to, Length $high): Placed
    {
        $thick = $this->site->terms->materials->frame->thickness->toDouble();
        $piece = $this->site->make->inner('front-strip'.$number, 'Front strip', Working::start('over the knee space', Length::ofDouble($to - $from)), Working::start('height of the strip', $high), Purpose::Frame, Grain::Length, [new Finished('lower, long', Finish::Eased)], ['glued and screwed under the worktop']);
        $wide = $piece->width->result->toDouble();

        return new Placed($piece, Pose::at($from, $this->face() - $thick, $this->top->z - $wide, Way::Right, Way::Up, Way::Out), Part::Face, $this->top->id);
    }

    private function face(): float
    {
        return $this->top->front() - $this->top->holds->demand($this->site->terms->rules, $this->site->terms->materials)->overhang->toDouble();
    }

    /** @return list<Finding> a strip takes of the height for knees */
    private function knees(FittedCell $cell, Length $strip): array
    {
        $least = $this->site->terms->rules->get(Rule::KneeHeight);
        $left = $cell->z + min($cell->left, $cell->right) - $strip->toDouble();
        if ($strip->isZero() || ! $this->isForKnees($cell) || $left >= $least->toDouble() - 0.5) {
            return [];
        }
        $less = Length::ofDouble(max(0.0, $strip->toDouble() - ($least->toDouble() - $left)))->roundedDown($this->site->terms->format->step);

        return [Finding::clash(Code::KneesHigh, sprintf('Under the front strip %s are clear; knees need %s.', $this->site->terms->write($left), $this->site->terms->format->write($least)), $this->top->id)
            ->withWaysOut([new WayOut(sprintf('A strip of %s', $this->site->terms->format->write($less)), Edits::member($this->top->memberId())->measuring('with.strip', $less))])];
    }

    /** @return list<'left'|'right'> ends of a field that neither a wall nor anything beside it carries */
    private function hanging(float $from, float $to, bool $hasCleats): array
    {
        return [
            ...(abs($from - $this->top->u) < self::LEVEL && ! ($this->top->meetsLeft && $hasCleats) ? ['left'] : []),
            ...(abs($to - $this->top->end()) < self::LEVEL && ! ($this->top->meetsRight && $hasCleats) ? ['right'] : []),
        ];
    }

    /** @return list<Finding> what stands between takes of the width for knees */
    private function narrow(FittedCell $cell, float $clear, int $between): array
    {
        $least = $this->site->terms->rules->get(Rule::KneeWidth);
        if ($between === 0 || ! $this->isForKnees($cell) || $clear >= $least->toDouble()) {
            return [];
        }

        return [Finding::clash(Code::KneesWide, sprintf('Between what stands under the worktop %s are clear; knees need %s.', $this->site->terms->write($clear), $this->site->terms->format->write($least)), $this->top->id)
            ->withWaysOut([new WayOut('One fewer between', Edits::member($this->top->memberId())->setting(['between' => $between - 1]))])];
    }

    private function isForKnees(FittedCell $cell): bool
    {
        return $cell->tier->holds instanceof HoldsCell && ! $cell->tier->holds->demand($this->site->terms->rules, $this->site->terms->materials)->height->least->isZero();
    }

    /**
     * @param  list<'left'|'right'>  $hanging
     * @return list<Finding>
     */
    private function carried(array $hanging, bool $stands): array
    {
        if (! $stands && $hanging !== []) {
            return [Finding::warning(Code::WorktopHangs, 'Nothing stands under this worktop, and no wall holds one of its ends.', $this->top->id)->withWaysOut([new WayOut('Take the worktop away', Edits::withoutMember($this->top->memberId()))])];
        }

        return $hanging === [] ? [] : [Finding::warning(Code::WorktopHangs, sprintf('Nothing carries the worktop at its %s end: it wants a cleat on the wall, a side or a leg.', $hanging[0]), $this->top->id)
            ->withWaysOut([new WayOut('A side under it', Edits::member($this->top->memberId())->setting(['sides' => true]))])];
    }

    /** @return list<Bearing> */
    private function bearing(Placed $board, float $clear, bool $hasCleats, Length $strip, int $between): array
    {
        $materials = $this->site->terms->materials;
        [$of, $frame] = [$board->piece->material, $materials->frame];
        if ($of->wood === null) {
            return [];
        }
        $bare = new Board($of->wood->strength(), $of->density, $this->top->depth->result->toDouble(), $of->thickness->toDouble(), $clear, Loads::DESK, Loads::PERSON);
        $stiff = $frame->wood === null || ! $hasCleats ? null : [$frame->thickness->toDouble(), $frame->wood->strength()];
        $reckoned = $stiff === null || $strip->isZero() ? $bare : $bare->stiffened($stiff[0], $strip->toDouble(), $stiff[1], $bare->thick);

        return [new Bearing($board->piece->mark, $this->top->memberId(), $reckoned, sprintf('a desk’s things, %.0f kg on a metre', Loads::DESK), Edits::member($this->top->memberId()), 'made', $this->middle($reckoned, $between), $stiff)];
    }

    /** So many sides under it that each part of it holds; null where no number of them does. */
    private function middle(Board $board, int $between): ?WayOut
    {
        $thick = $this->site->terms->board();
        $whole = ($between + 1) * $board->span + $between * $thick;
        for ($count = $between + 1; $count <= self::BETWEEN; $count++) {
            if ($board->ofSpan(($whole - $count * $thick) / ($count + 1))->holds()) {
                return new WayOut($count === 1 ? 'A side under its middle' : "$count sides under it, as far apart", Edits::member($this->top->memberId())->setting(['between' => $count]));
            }
        }

        return null;
    }


    /** @param array{float, float} $size */
    private function is(array $size): Length
    {
        return $this->site->terms->rules->either(...$size);
    }
}
