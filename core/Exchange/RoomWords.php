<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Path;
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
            return ['Heights, depths and one width draw the space; the rest make it sure.'];
        }
        $top = $room->ceiling->lowest();
        $mid = $room->mouth() / 2;
        $sentences = [];
        foreach (['left' => [$room->left, 1], 'right' => [$room->right, -1]] as $side => [$wall, $inward]) {
            $lean = $inward * ($wall->at($mid, $top) - $wall->at($mid, 0.0));
            $bow = -$inward * ($wall->at($mid, $top / 2) - ($wall->at($mid, $top) + $wall->at($mid, 0.0)) / 2);
            $parts = array_filter([
                abs($lean) >= self::WORTH_SAYING ? sprintf('leans %s %s from floor to ceiling', $lean > 0 ? 'in' : 'out', $this->mm(abs($lean))) : null,
                abs($bow) >= self::WORTH_SAYING ? sprintf('bows %s %s half way up', $bow > 0 ? 'out' : 'in', $this->mm(abs($bow))) : null,
            ]);
            $sentences[] = "The $side wall ".($parts === [] ? 'is straight and plumb.' : implode(' and ', $parts).'.');
        }
        $span = $room->span(new Path(0.0, $room->mouth(), 0.0, $top));
        $sentences[] = sprintf('A straight box as tall as the space may be %s wide, give or take %s: it touches left at %s and right at %s above the floor.', $this->mm($span->width), $this->mm($span->doubt), $this->mm($span->leftHeight), $this->mm($span->rightHeight));
        $fall = $room->floor->fall();
        $sentences[] = $fall < self::WORTH_SAYING ? 'The floor is level.' : sprintf('The floor falls %s from its highest to its lowest corner.', $this->mm($fall));

        return $sentences;
    }

    private function mm(float $millimetres): string
    {
        return $this->format->write(Length::ofDouble($millimetres));
    }
}
