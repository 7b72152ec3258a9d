<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Point;
use Incastro\Geometry\SmoothLine;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;

/**
 * Checks the offsets of each straightedge against their neighbours: walls bend, but they do not jump. One that lies far off
 * the smooth line through the others is named, until a second take of it agrees.
 */
final readonly class StraightLines
{
    /** σ of an offset with the rounding to half a millimetre, mm. */
    private const SIGMA = 0.33;

    /** Off the line of its neighbours by so many σ, a station is suspect: of the rule's alone, and of what plaster does besides. */
    private const FAR = 7.0;

    private const FAR_IN_PLASTER = 4.5;

    /**
     * @param  array<string, Reading>  $readings  by slot
     * @param  list<string>  $struck
     * @param  Textures  $textures  of the walls, by which readings are accused
     */
    public function __construct(private array $readings, private array $struck, private LengthFormat $format, private Textures $textures)
    {
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        $lines = [];
        foreach ($this->readings as $reading) {
            if ($reading->slot->straightedge !== null) {
                $lines[$reading->slot->straightedge][] = $reading;
            }
        }
        $findings = [];
        foreach ($lines as $line) {
            usort($line, fn (Reading $a, Reading $b) => self::place($a) <=> self::place($b));
            $finding = $this->farthest($line);
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }

        return $findings;
    }

    private static function place(Reading $reading): float
    {
        return (float) ($reading->slot->isLevel ? $reading->slot->along : $reading->slot->height);
    }

    /** @param list<Reading> $line */
    private function farthest(array $line): ?Finding
    {
        $stations = array_map(fn (Reading $reading) => new Point(self::place($reading), $reading->standing($this->struck)), $line);
        $rough = $line === [] ? 0.0 : $this->textures->of((int) $line[0]->slot->wall);
        $odd = $stations === [] ? null : SmoothLine::oddOne($stations, hypot(self::SIGMA, $rough), $rough > 0.0 ? self::FAR_IN_PLASTER : self::FAR);
        if ($odd === null || count(array_diff(array_map(fn (Take $take) => $take->id, $line[$odd[0]]->takes), $this->struck)) > 1) {
            return null;
        }
        $slot = $line[$odd[0]]->slot;

        return Finding::warning(Code::Suspect, sprintf('“%s” is about %s too %s for its neighbours: a wall bends, it does not jump. Take it again.', $slot->label, $this->format->write(Length::ofDouble(abs($odd[1]))), $odd[1] > 0 ? 'large' : 'small'), $slot->id);
    }
}
