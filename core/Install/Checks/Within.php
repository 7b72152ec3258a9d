<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Install\Check;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** One gap, or the difference of two readings, that is no more than so much; what to do where it is may say by how much. */
final readonly class Within implements Check
{
    /**
     * @param  list<string>  $fields
     * @param  string  $remedy  its "%s" is the reading times so many
     */
    public function __construct(private string $key, private string $label, private array $fields, private float $limit, private string $remedy, private LengthFormat $format, private float $times = 1.0)
    {
    }

    /** A level line closes where it began: within 2 on 5 m. */
    public static function levelLine(float $round, LengthFormat $format): self
    {
        return new self('line', 'Level line', ['Height where it begins', 'Height where it ends'], max(1.0, 2.0 * $round / 5000.0), 'Take the line again; where it closes no better, put it lower or higher by %s half way round.', $format, 0.5);
    }

    /** Two strings from corner to corner of a face: how far apart they are where they cross. */
    public static function twist(LengthFormat $format): self
    {
        return new self('twist', 'Twist of the face', ['Between two strings, where they cross'], 1.0, 'Pack one corner by %s.', $format, 2.0);
    }

    public static function flush(LengthFormat $format): self
    {
        return new self('flush', 'Faces flush', ['Step at the joint'], $format->unit->isMetric() ? 0.5 : 25.4 / 64, 'Loosen it, clamp both faces to a straight block, and screw again: %s is felt with a finger.', $format);
    }

    public static function topToWall(LengthFormat $format): self
    {
        return new self('to-wall', 'Top to the wall', ['Largest gap'], 1.5, 'Scribe it again where the gap is largest: %s is too much for caulk to hide well.', $format);
    }

    public static function reveals(LengthFormat $format): self
    {
        return new self('reveal', 'Reveals round the fronts', ['Narrowest', 'Widest'], 1.0, 'Turn the screws of its hinges: the one across moves the leaf to its side, the one in the arm tilts it. %s is what the widest has more.', $format);
    }

    public static function openings(LengthFormat $format): self
    {
        return new self('opening', 'Width of the opening, at three heights', ['Least', 'Most'], 1.0, 'It is %s wider at one height: cut its front to the least, less two reveals.', $format);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function label(): string
    {
        return $this->label;
    }

    public function fields(): array
    {
        return $this->fields;
    }

    public function ends(): null
    {
        return null;
    }

    public function expected(): null
    {
        return null;
    }

    public function limit(): float
    {
        return $this->limit;
    }

    public function allowed(): string
    {
        return sprintf(count($this->fields) > 1 ? 'within %s' : 'up to %s', $this->fine($this->limit));
    }

    public function remedy(float $reading): string
    {
        return sprintf($this->remedy, $this->fine(abs($reading) * $this->times));
    }

    private function fine(float $millimetres): string
    {
        return $this->format->fine()->write(Length::ofDouble($millimetres));
    }
}
