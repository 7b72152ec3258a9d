<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Install\StudGrid;
use Incastro\Measure\Unit;

/** Reads where studs were found along a wall, and writes what that says of the others. */
final readonly class StudFile
{
    private const MOST = 60;

    /** Two readings nearer than this are of one stud, mm. */
    private const SAME = 30.0;

    /** Two felt edges are those of a stud of a usual width, this far from it; mm. */
    private const WIDTHS = [38.0, 45.0, 50.0];

    private const WIDTH_OFF = 6.0;

    /** @var list<float> centre lines, mm */
    private array $found;

    /** @var list<float> places at which nothing was found, mm */
    private array $nothing;

    private float $from;

    private float $to;

    private Unit $unit;

    /** @throws BadFile */
    public function __construct(string $file, string $json)
    {
        $from = new JsonFile($file, $json, 'an object with unit, from, to and readings');
        $unit = $from->data['unit'] ?? 'mm';
        if ($unit !== 'mm' && $unit !== 'in') {
            $from->fault('.unit', sprintf('“%s” is not a unit here. It is mm or in.', is_scalar($unit) ? $unit : 'That'));
        }
        $this->unit = $unit === 'in' ? Unit::Inch : Unit::Millimetre;
        $scale = $this->unit->nanometres() / 1e6;
        $most = 30_000 / $scale;
        $this->from = $scale * $from->number($from->data, 'from', '', 0, $most, 0.0);
        $this->to = $scale * $from->number($from->data, 'to', '', 1 / $scale, $most);
        $found = $nothing = [];
        foreach ($from->entries($from->data, 'readings', '', self::MOST) as $i => $reading) {
            $path = ".readings[$i]";
            $u = $scale * $from->number($reading, 'u', $path, 0, $most);
            if (isset($reading['other_edge'])) {
                $wide = abs($scale * $from->number($reading, 'other_edge', $path, 0, $most) - $u);
                if (array_filter(self::WIDTHS, fn (float $one) => abs($wide - $one) <= self::WIDTH_OFF) === []) {
                    $from->fault("$path.other_edge", sprintf('Edges %.0f mm apart are not those of one stud of 38, 45 or 50 mm. Feel for them again.', $wide));
                }
                $u = ($u + $scale * (float) (is_numeric($reading['other_edge']) ? $reading['other_edge'] : 0)) / 2;
            }
            if ($u > $this->to || $u < $this->from) {
                $from->fault("$path.u", sprintf('It lies past the wall’s end (%s).', round(($u > $this->to ? $this->to : $this->from) / $scale, 3)));
            }
            $near = array_filter($found, fn (float $one) => abs($one - $u) < self::SAME);
            if ($near !== [] && ($reading['hit'] ?? true) === true) {
                $from->fault("$path.u", sprintf('The same stud as at %s? A second take of it, or two studs: leave one of them out.', round(array_values($near)[0] / $scale, 3)));
            }
            if ($from->yesNo($reading, 'hit', $path, true)) {
                $found[] = $u;
            } else {
                $nothing[] = $u;
            }
        }
        $from->refuseFaults();
        [$this->found, $this->nothing] = [$found, $nothing];
    }

    /** @return array<string, mixed> pitch, or between which it is undecided; found, expected and beside the grid; mm */
    public function answer(): array
    {
        $grid = StudGrid::of($this->found);
        $pitches = $grid->pitches();
        $decides = $grid->decides($this->to);

        return [
            'pitch_mm' => count($pitches) === 1 ? $pitches[0] : null,
            'undecided_mm' => count($pitches) > 1 ? $pitches : [],
            'decides_at_mm' => $decides === null ? null : round($decides, 1),
            'found' => array_map(fn (float $u): array => ['u_mm' => round($u, 3)], $grid->found),
            'beside' => array_map(fn (array $one): array => ['u_mm' => round($one['u'], 3), 'off_mm' => round($one['off'], 1)], $grid->beside()),
            'expected' => array_map(fn (array $one): array => [
                'u_mm' => round($one['u'], 1), 'probe_from_mm' => round($one['from'], 1), 'probe_to_mm' => round($one['to'], 1),
                'probed' => array_filter($this->nothing, fn (float $u) => $u >= $one['from'] && $u <= $one['to']) !== [],
            ], $grid->expected($this->from, $this->to)),
            'sentence' => $this->sentence($pitches, $decides),
        ];
    }

    /** @param list<float> $pitches */
    private function sentence(array $pitches, ?float $decides): string
    {
        $write = fn (float $mm): string => $this->unit->isMetric() ? "$mm mm" : sprintf('%s in', round(1e6 * $mm / $this->unit->nanometres(), 2));

        return match (true) {
            $pitches === [] => 'Fewer than three studs say nothing of others: find one more.',
            count($pitches) === 1 => "Studs stand every {$write($pitches[0])}.",
            default => sprintf('Every %s: %s.', implode(' or ', array_map($write, $pitches)), $decides === null ? 'this wall is too short to decide' : 'a stud found near '.$write(round($decides)).' decides'),
        };
    }
}
