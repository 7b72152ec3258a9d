<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Survey;

/** The space from its readings: the back wall seen from the front, and the plan. Before a room is known, a guess of it. */
final readonly class RoomDrawing
{
    private const GUESS = ['width' => 900.0, 'height' => 2400.0, 'depth' => 600.0];

    public function __construct(private Survey $survey, private LengthFormat $format)
    {
    }

    public function elevation(): Drawing
    {
        $shapes = $this->elevationHouse();
        $lines = [];
        foreach ($this->survey->slots as $slot) {
            $line = $this->elevationLine($slot);
            if ($line !== null) {
                $lines[] = new Dimension($line[0], $line[1], $this->valueOf($slot), $slot->id, $this->isMain($slot) ? Style::Reading : Style::ReadingQuiet);
            }
        }

        return new Drawing('Back wall, seen from the front', ['house' => $shapes, 'readings' => $lines]);
    }

    public function plan(): Drawing
    {
        [$lb, $rb, $rf, $lf] = $this->planCorners();
        $house = [
            new Outline([$lf, $lb, $rb, $rf], false, Style::House, 'walls'),
            new Outline([$lf, $lf->plus(-80.0)], false, Style::House),
            new Outline([$rf, $rf->plus(80.0)], false, Style::House),
        ];
        $lines = [];
        $ends = ['diagonal-left' => [$lb, $rf], 'diagonal-right' => [$rb, $lf], 'depth-left' => [$lf, $lb], 'depth-right' => [$rf, $rb]];
        foreach ($this->survey->slots as $slot) {
            if (isset($ends[$slot->id])) {
                // The two diagonals cross: only one of them carries its value there.
                $style = $slot->id === 'diagonal-right' ? Style::ReadingQuiet : Style::Reading;
                $lines[] = new Dimension($ends[$slot->id][0], $ends[$slot->id][1], $this->valueOf($slot), $slot->id, $style);
            } elseif ($slot->kind === ReadingKind::Corner) {
                $lines[] = new Label($slot->id === 'corner-left' ? $lb->plus(90.0, -70.0) : $rb->plus(-90.0, -70.0), $this->valueOf($slot), Style::Reading, $slot->id);
            } elseif ($slot->id === 'fall-depth') {
                $x = ($lb->x + $rb->x) / 2;
                $lines[] = new Dimension(new DrawnPoint($x, $lb->y), new DrawnPoint($x, $lf->y), $this->valueOf($slot), $slot->id, Style::ReadingQuiet);
            }
        }

        return new Drawing('From above', ['house' => $house, 'readings' => $lines]);
    }

    /** @return list<Shape> */
    private function elevationHouse(): array
    {
        $height = $this->height();
        $left = $right = $plumbs = [];
        foreach ($this->heights() as $z) {
            $left[] = $this->wallPoint('left', $z);
            $right[] = $this->wallPoint('right', $z);
        }
        foreach ([$left, $right] as $wall) {
            $x = $wall[0]->x - $wall[0]->cx;
            $plumbs[] = new Outline([new DrawnPoint($x, 0.0), new DrawnPoint($x, $height + 60.0)], false, Style::Plumb);
        }

        return [
            ...$plumbs,
            new Outline([...$left, ...array_reverse($right)], true, Style::House, 'walls'),
        ];
    }

    /** Heights at which the walls may bend, floor and ceiling among them. @return list<float> */
    private function heights(): array
    {
        return $this->survey->room?->left->bendsBetween(0.0, $this->height()) ?? [0.0, $this->height()];
    }

    private function height(): float
    {
        return $this->survey->room?->ceiling->lowest() ?? $this->read('height-left', $this->read('height-right', self::GUESS['height']));
    }

    private function depth(): float
    {
        return $this->survey->room?->mouth() ?? $this->read('depth-left', $this->read('depth-right', self::GUESS['depth']));
    }

    private function width(): float
    {
        return $this->read('width-middle-back', $this->read('width-low-back', self::GUESS['width']));
    }

    private function read(string $slot, float $otherwise): float
    {
        return isset($this->survey->readings[$slot]) ? $this->survey->readings[$slot]->value() : $otherwise;
    }

    /** A point of a side wall in elevation, half way in; the floor's fall and the ceiling's slope move its ends. */
    private function wallPoint(string $side, float $z): DrawnPoint
    {
        $room = $this->survey->room;
        if ($room === null) {
            return new DrawnPoint($side === 'left' ? 0.0 : $this->width(), $z);
        }
        $v = $this->depth() / 2;
        $wall = $side === 'left' ? $room->left : $room->right;
        $straight = array_sum(array_map(fn (float $at) => $wall->at($v, $at), $this->heights())) / count($this->heights());
        $x = $wall->at($v, $z);
        $y = match (true) {
            $z <= 0.0 => $room->floor->at($x, $v),
            $z >= $this->height() => $side === 'left' ? $room->ceiling->left : $room->ceiling->right,
            default => $z,
        };

        return new DrawnPoint($x, $y, $x - $straight, $y - $z);
    }

    /** @return array{DrawnPoint, DrawnPoint}|null where the line of a slot lies in elevation */
    private function elevationLine(Slot $slot): ?array
    {
        $at = (float) $slot->height;
        $isLeft = str_contains($slot->id, 'left');
        $inset = $isLeft ? 60.0 : -60.0;

        return match (true) {
            // The widths in front lie a little above those at the back, so that both can be seen.
            $slot->kind === ReadingKind::Width => [$this->wallPoint('left', $at + ($this->isFront($slot) ? 55.0 : 0.0)), $this->wallPoint('right', $at + ($this->isFront($slot) ? 55.0 : 0.0))],
            $slot->kind === ReadingKind::Height && $slot->required => [$this->wallPoint($isLeft ? 'left' : 'right', 0.0)->plus(2 * $inset), $this->wallPoint($isLeft ? 'left' : 'right', $this->height())->plus(2 * $inset)],
            $slot->kind === ReadingKind::Plumb => [$this->wallPoint($isLeft ? 'left' : 'right', $at)->plus($inset / 2), $this->wallPoint($isLeft ? 'left' : 'right', $at + (float) $slot->span)->plus($inset / 2)],
            $slot->id === 'fall-across' => [$this->wallPoint('left', 0.0)->plus(0.0, -45.0), $this->wallPoint('right', 0.0)->plus(0.0, -45.0)],
            default => null,
        };
    }

    /** The widths at the back show their values always, the others when they are selected. */
    private function isMain(Slot $slot): bool
    {
        return $slot->kind === ReadingKind::Width && ! $this->isFront($slot);
    }

    private function isFront(Slot $slot): bool
    {
        return str_ends_with($slot->id, 'front');
    }

    /** @return array{DrawnPoint, DrawnPoint, DrawnPoint, DrawnPoint} left back, right back, right front, left front */
    private function planCorners(): array
    {
        $room = $this->survey->room;
        if ($room === null) {
            return [new DrawnPoint(0.0, 0.0), new DrawnPoint($this->width(), 0.0), new DrawnPoint($this->width(), -$this->depth()), new DrawnPoint(0.0, -$this->depth())];
        }
        $z = $this->height() / 2;
        $point = function (string $side, float $v) use ($room, $z): DrawnPoint {
            $wall = $side === 'left' ? $room->left : $room->right;
            $straight = ($wall->at(0.0, $z) + $wall->at($room->mouth(), $z)) / 2;

            return new DrawnPoint($wall->at($v, $z), -$v, $wall->at($v, $z) - $straight, $v > 0.0 ? $room->mouth() - $v : 0.0);
        };

        return [$point('left', 0.0), $point('right', 0.0), $point('right', $room->depthRight), $point('left', $room->depthLeft)];
    }

    private function valueOf(Slot $slot): string
    {
        $reading = $this->survey->readings[$slot->id] ?? null;
        if ($reading === null) {
            return '';
        }

        return $slot->kind->isAngle() ? sprintf('%.1f°', $reading->value()) : $this->format->write(Length::ofDouble(abs($reading->value())));
    }
}
