<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Units\Placed;

/**
 * A wall of studs between two plates. Beside an opening stand kings with trimmers at them, which carry its header; studs of the grid that
 * fall into it become cripples. A rail on the wall behind takes every stud there, and ties hold the new ones to it.
 */
final readonly class PlateFrame
{
    /** A header over a wider opening is doubled, mm and inches: it carries the skin, never the house. */
    private const DOUBLED = [1200.0, 48.0];

    /** Two ties are no farther apart, and none is shorter; mm and inches. */
    private const TIES = [800.0, 32.0];

    private const SHORTEST = [20.0, 0.75];

    /** The rail on the wall behind lies so high, of the wall's height. */
    private const RAIL = 0.7;

    private float $t;

    private float $w;

    /** Of the studs' backs. */
    private float $back;

    /**
     * @param  float  $front  of the frame, out from where the wall begins
     * @param  float  $pitch  of the studs
     * @param  float  $begins  so far behind the edge of the skin, from which that is counted
     */
    public function __construct(private Sticks $sticks, private Working $wide, private Working $high, private float $front, private float $pitch, private ?RoughOpening $hole, private float $begins = 0.0)
    {
        $this->t = $sticks->thick->toDouble();
        $this->w = $sticks->wide->toDouble();
        $this->back = $front - $this->w;
    }

    /** @return list<Placed> */
    public function build(): array
    {
        [$studs, $cripples] = $this->grid();
        $headers = $this->hole === null ? [] : $this->opening($cripples);

        return [...$this->plates($studs), ...$this->studs($studs), ...$headers, ...$this->ties($studs, $cripples)];
    }

    /** How many headers lie on each other. */
    private function doubled(): int
    {
        return $this->hole !== null && $this->hole->width > $this->sticks->site->terms->rules->either(...self::DOUBLED)->toDouble() ? 2 : 1;
    }

    /** @return array{list<float>, list<float>} left sides of the studs, and of those that an opening cuts short */
    private function grid(): array
    {
        $long = $this->wide->result->toDouble();
        $studs = [0.0, $long - $this->t];
        $hole = $this->hole;
        $taken = [[0.0, $this->t], [$long - $this->t, $long]];
        if ($hole !== null) {
            array_push($studs, $hole->x - 2 * $this->t, $hole->right() + $this->t);
            array_push($taken, [$hole->x - 2 * $this->t, $hole->x], [$hole->right(), $hole->right() + 2 * $this->t]);
        }
        $cripples = [];
        for ($middle = $this->pitch - $this->begins; $middle < $long; $middle += $this->pitch) {
            $left = $middle - $this->t / 2;
            $isFree = array_filter($taken, fn (array $one) => $left < $one[1] && $left + $this->t > $one[0]) === [];
            if ($isFree && $hole !== null && $left >= $hole->x && $left + $this->t <= $hole->right()) {
                $cripples[] = $left;
            } elseif ($isFree) {
                $studs[] = $left;
            }
        }
        sort($studs);

        return [$studs, $cripples];
    }

    /**
     * @param  list<float>  $studs
     * @return list<Placed>
     */
    private function plates(array $studs): array
    {
        $head = $this->through('plate-head', 'Head plate', $this->wide, 0.0, $this->high->result->toDouble() - $this->t, 'screwed up to every joist', $studs);
        if ($this->hole?->isFromFloor() !== true) {
            return [...$this->through('plate-foot', 'Foot plate', $this->wide, 0.0, 0.0, 'screwed to the floor every 400 mm or 16 in: ask first what runs in it', $studs), ...$head];
        }
        $left = Working::start('to the opening', Length::ofDouble($this->hole->x));
        $right = Working::start('from the opening on', Length::ofDouble($this->wide->result->toDouble() - $this->hole->right()));

        return [
            ...$this->through('plate-foot-L', 'Foot plate, left', $left, 0.0, 0.0, 'screwed to the floor', $studs),
            ...$this->through('plate-foot-R', 'Foot plate, right', $right, $this->hole->right(), 0.0, 'screwed to the floor', $studs),
            ...$head,
        ];
    }

    /**
     * A plate, in parts that meet over studs where it is longer than one is made.
     *
     * @param  list<float>  $studs
     * @return list<Placed>
     */
    private function through(string $role, string $name, Working $length, float $x, float $z, string $how, array $studs): array
    {
        $parts = $this->sticks->parts($length, array_map(fn (float $left): float => $left + $this->t / 2 - $x, $studs));

        return array_map(fn (array $part, int $i): Placed => $this->sticks->lying($role.($i === 0 ? '' : '-'.($i + 1)), $name, $part[1], $x + $part[0], $this->back, $z, $how), $parts, array_keys($parts));
    }

    /**
     * @param  list<float>  $lefts
     * @return list<Placed>
     */
    private function studs(array $lefts): array
    {
        $length = $this->high->minusTimes('foot and head plate', 2, $this->sticks->thick);

        return array_map(fn (float $left, int $i) => $this->sticks->upright('stud-'.($i + 1), 'Stud', $length, $left, $this->back, $this->t, 'two screws through each plate'), $lefts, array_keys($lefts));
    }

    /**
     * Trimmers, headers, sill and what stands over and under them.
     *
     * @param  list<float>  $cripples
     * @return list<Placed>
     */
    private function opening(array $cripples): array
    {
        $hole = $this->hole ?? throw new \LogicException('There is no opening.');
        $n = $this->doubled();
        $at = fn (string $label, float $mm): Working => Working::start($label, Length::ofDouble($mm));
        $trimmer = $at('to the head of the opening', $hole->head())->minus('foot plate', $this->sticks->thick);
        $header = $at('width of the opening', $hole->width)->plusTimes('both trimmers', 2, $this->sticks->thick);
        $placed = [
            $this->sticks->upright('trimmer-L', 'Trimmer', $trimmer, $hole->x - $this->t, $this->back, $this->t, 'screwed to its king'),
            $this->sticks->upright('trimmer-R', 'Trimmer', $trimmer, $hole->right(), $this->back, $this->t, 'screwed to its king'),
        ];
        for ($i = 0; $i < $n; $i++) {
            $placed[] = $this->sticks->lying('header-'.($i + 1), 'Header', $header, $hole->x - $this->t, $this->back, $hole->head() + $i * $this->t, 'on the trimmers, between the kings');
        }
        $over = $this->high->minus('head plate', $this->sticks->thick)->minus('to the head of the opening', Length::ofDouble($hole->head()))->minusTimes($n === 1 ? 'header' : 'headers', $n, $this->sticks->thick);
        foreach ($cripples as $i => $left) {
            $placed[] = $this->sticks->upright('cripple-head-'.($i + 1), 'Cripple over the header', $over, $left, $this->back, $hole->head() + $n * $this->t, 'header to head plate');
        }
        if ($hole->isFromFloor()) {
            return $placed;
        }
        $placed[] = $this->sticks->lying('sill', 'Sill', $at('width of the opening', $hole->width), $hole->x, $this->back, $hole->z - $this->t, 'between the trimmers, on cripples');
        $under = $at('foot of the opening', $hole->z)->minusTimes('foot plate and sill', 2, $this->sticks->thick);
        foreach ($under->result->isPositive() ? $cripples : [] as $i => $left) {
            $placed[] = $this->sticks->upright('cripple-sill-'.($i + 1), 'Cripple under the sill', $under, $left, $this->back, $this->t, 'foot plate to sill');
        }

        return $placed;
    }

    /**
     * A rail on the wall behind, screwed to every stud there wherever it stands, and ties from it to the new ones: each the farthest that
     * is near enough to the last.
     *
     * @param  list<float>  $studs
     * @param  list<float>  $cripples
     * @return list<Placed>
     */
    private function ties(array $studs, array $cripples): array
    {
        $rules = $this->sticks->site->terms->rules;
        $length = Working::start('depth of the frame', Length::ofDouble($this->front))->minus('stud', $this->sticks->wide)->minus('rail on the wall', $this->sticks->thick);
        if ($length->result->isLessThan($rules->either(...self::SHORTEST))) {
            return [];
        }
        [$z, $uprights] = $this->crossed($studs, $cripples);
        $rail = [];
        foreach ($this->sticks->parts($this->wide) as $i => [$from, $part]) {
            $rail[] = $this->sticks->flatLevel('wall-rail'.($i === 0 ? '' : '-'.($i + 1)), 'Wall rail', $part, $from, 0.0, $z, 'screwed to every stud of the wall behind, wherever it stands');
        }
        $ties = [];
        $apart = $rules->either(...self::TIES)->toDouble();
        $last = -INF;
        foreach ($uprights as $i => $left) {
            $next = $uprights[$i + 1] ?? null;
            if ($last === -INF || $next === null || $next - $last > $apart) {
                $ties[] = $this->sticks->out('tie-'.(count($ties) + 1), 'Tie', $length, $left, $this->t, $z, 'rail to stud');
                $last = $left;
            }
        }

        return [...$rail, ...$ties];
    }

    /**
     * How high the rail lies, clear of the opening, and which uprights cross it.
     *
     * @param  list<float>  $studs
     * @param  list<float>  $cripples
     * @return array{float, list<float>}
     */
    private function crossed(array $studs, array $cripples): array
    {
        $z = round(self::RAIL * $this->high->result->toDouble());
        $hole = $this->hole;
        $over = $hole === null ? 0.0 : $hole->head() + $this->doubled() * $this->t;
        if ($hole !== null && $z + $this->w > $hole->z - $this->t && $z < $over) {
            // Over the opening, or, where there is no room for it, under.
            $z = $over + $this->w < $this->high->result->toDouble() - $this->t ? $over : max($this->t, $hole->z - $this->t - $this->w);
        }
        $uprights = $hole !== null && ($z >= $over - 1e-6 || $z + $this->w <= $hole->z - $this->t + 1e-6) ? [...$studs, ...$cripples] : $studs;
        sort($uprights);

        return [$z, $uprights];
    }
}
