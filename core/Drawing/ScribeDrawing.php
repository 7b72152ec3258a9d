<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\Closing\ScribeLine;
use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;

/**
 * How an edge is scribed, lying along the drawing: the piece below with its blank edge held against the surface, the line that
 * the compass carries onto it, what is cut away, and the stations. Across the edge everything is drawn `times` as large.
 */
final readonly class ScribeDrawing
{
    /** Of its length an edge is drawn this wide across, so that the line is seen to bend. */
    private const SHARE = 0.16;

    /** The piece reaches so far below its reference line, as a share of what is drawn across. */
    private const BELOW = 0.7;

    private float $long;

    private float $high;

    public float $times;

    public function __construct(private ScribeLine $line, private LengthFormat $format)
    {
        $stations = $line->gap->stations;
        $this->long = max(1.0, $stations[count($stations) - 1]->x - $stations[0]->x);
        $this->high = max(1.0, $line->blank()->toDouble());
        $this->times = max(1.0, round(self::SHARE * $this->long / $this->high));
    }

    public function draw(): Drawing
    {
        $first = $this->line->gap->stations[0]->x;
        $finished = array_map(fn (Point $station) => $this->at($station->x - $first, $station->y), $this->line->line());
        $foot = -self::BELOW * $this->high;
        // Held plumb and level the blank touches where the surface stands out most: it is beyond the line by the setting.
        $setting = $this->line->setting()->toDouble();
        $surface = array_map(fn (Point $station) => $this->at($station->x - $first, $station->y + $setting), $this->line->gap->stations);
        $blank = [$this->at(0.0, $this->high), $this->at($this->long, $this->high)];

        return new Drawing('The scribe line', [
            'piece' => [new Outline([$this->at(0.0, $foot), $this->at($this->long, $foot), ...array_reverse($finished)], true, Style::Board)],
            'waste' => [new Outline([...$finished, ...array_reverse($blank)], true, Style::Gap)],
            'surface' => [new Outline($surface, false, Style::House)],
            'stations' => $this->stations($first),
            'compass' => $this->compass($first, $setting),
            'cuts' => $this->cuts($first),
        ]);
    }

    /** @return list<Shape> where the surface was known: from the blank's edge to the line */
    private function stations(float $first): array
    {
        return array_map(fn (Point $station) => new Outline([$this->at($station->x - $first, $station->y), $this->at($station->x - $first, $this->high)], false, Style::Measure), $this->line->gap->stations);
    }

    /** @return list<Shape> from the surface to the line, wherever it is set down: at the middle */
    private function compass(float $first, float $setting): array
    {
        $stations = $this->line->gap->stations;
        $middle = $stations[intdiv(count($stations), 2)];
        $at = fn (float $across): DrawnPoint => $this->at($middle->x - $first, $across);

        return [
            new Dimension($at($middle->y), $at($middle->y + $setting), '', style: Style::Reading),
            new Label($at($middle->y + $setting + 0.35 * $this->high), 'compass '.$this->format->write($this->line->setting()), Style::Label),
        ];
    }

    /** @return list<Shape> the deepest and the shallowest cut, beside their stations */
    private function cuts(float $first): array
    {
        $stations = $this->line->gap->stations;
        $deepest = $shallowest = $stations[0];
        foreach ($stations as $station) {
            $deepest = $station->y < $deepest->y ? $station : $deepest;
            $shallowest = $station->y > $shallowest->y ? $station : $shallowest;
        }
        $label = fn (Point $station, string $what): Label => new Label($this->at($station->x - $first, -0.35 * $this->high), "$what ".$this->format->write($this->line->cutAt($station)), Style::Label, anchor: $station->x - $first < 0.2 * $this->long ? 'start' : ($station->x - $first > 0.8 * $this->long ? 'end' : 'middle'));

        return $deepest === $shallowest ? [$label($deepest, 'cut')] : [$label($deepest, 'deepest'), $label($shallowest, 'shallowest')];
    }

    /** Across the edge as crooked as it is: that is what is exaggerated. */
    private function at(float $along, float $across): DrawnPoint
    {
        return new DrawnPoint($along, $across, 0.0, $across);
    }
}
