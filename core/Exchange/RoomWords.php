<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Survey;

/** What the readings say, in sentences for the person who took them. */
final readonly class RoomWords
{
    /** Less than this is called straight, mm. */
    private const WORTH_SAYING = 2.0;

    public function __construct(private Survey $survey, private LengthFormat $format)
    {
    }

    /** @return list<string> */
    public function sentences(): array
    {
        $room = $this->survey->room;
        if ($room === null) {
            return ['The drawing shows the usual shape of such a space; heights, widths and depths put it right as you read them.'];
        }
        $sentences = [];
        foreach (array_keys($room->network->fields) as $wall) {
            $sentences[] = $this->wall($room, $wall);
        }
        $frame = $room->frame();
        if ($frame->lowestCeiling($frame->mouth())[0] > 0.0) {
            $span = $room->span($frame, $frame->wholePath());
            $sentences[] = sprintf('A straight box as tall as the space may be %s wide, give or take %s: it touches left at %s and right at %s above the floor.', $this->mm($span->width), $this->mm($span->doubt), $this->mm($span->leftHeight), $this->mm($span->rightHeight));
        }
        $narrowest = $this->narrowest();
        if ($narrowest !== null) {
            $sentences[] = sprintf('The smallest width read is %s (%s).', $this->mm($narrowest->standing($this->survey->struck)), lcfirst($narrowest->slot->label));
        }
        $fall = $room->levels->fall($room->corners);
        $sentences[] = $fall < self::WORTH_SAYING ? 'The floor is level.' : sprintf('The floor falls %s from its highest to its lowest corner.', $this->mm($fall));
        foreach (array_slice($room->shape->ceiling->planes(), 0, 1) as $name) {
            if ($name !== 'ceiling') {
                $sentences[] = sprintf('The %s rises %.1f° from level.', $name, $room->levels->slopeAt($frame->point($frame->length() / 2, 1.0)));
            }
        }

        if ($room->adjusted->degreesOfFreedom() > 0) {
            $sentences[] = sprintf('Taken together the readings scatter %.1f times as much as such tools do; about 1 is usual.', sqrt($room->adjusted->sumOfSquares() / $room->adjusted->degreesOfFreedom()));
        }

        return $sentences;
    }

    /** The smallest width that was read: for the eye, since it promises nothing about a box. */
    private function narrowest(): ?Reading
    {
        $best = null;
        foreach ($this->survey->readings as $reading) {
            if ($reading->slot->kind === ReadingKind::Width && ($best === null || $reading->standing($this->survey->struck) < $best->standing($this->survey->struck))) {
                $best = $reading;
            }
        }

        return $best;
    }

    private function wall(Room $room, int $wall): string
    {
        $middle = $room->edgeLength($wall) / 2;
        $top = max(1.0, $room->frame($wall)->ceilingAt($middle, 0.0));
        $lean = $room->wallOffset($wall, $middle, $top) - $room->wallOffset($wall, $middle, 0.0);
        $bow = $room->wallOffset($wall, $middle, $top / 2) - ($room->wallOffset($wall, $middle, 0.0) + $room->wallOffset($wall, $middle, $top)) / 2;
        $parts = array_filter([
            abs($lean) >= self::WORTH_SAYING ? sprintf('leans %s %s from floor to ceiling', $lean > 0 ? 'in' : 'out', $this->mm(abs($lean))) : null,
            abs($bow) >= self::WORTH_SAYING ? sprintf('bows %s %s half way up', $bow > 0 ? 'in' : 'out', $this->mm(abs($bow))) : null,
        ]);

        return sprintf('The %s %s.', $room->shape->wallName($wall), $parts === [] ? 'is straight and plumb' : implode(' and ', $parts));
    }

    private function mm(float $millimetres): string
    {
        return $this->format->write(Length::ofDouble($millimetres));
    }
}
