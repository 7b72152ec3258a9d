<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** What is cut out of a piece for a thing on a face of the space, whose id it carries. */
final readonly class CutFor implements Work
{
    /** @param list<float> $sizes mm, in the order in which the cut's words name them */
    public function __construct(public Cut $cut, public string $thingId, private string $thingName, private array $sizes = [])
    {
    }

    public function edge(): string
    {
        return 'cut-out';
    }

    /** What the thing is called within a sentence. */
    public function name(): string
    {
        return lcfirst($this->thingName);
    }

    public function words(LengthFormat $format): string
    {
        $name = $this->name();
        $sizes = array_map(fn (float $mm) => $format->write(Length::ofDouble($mm)), $this->sizes);

        return match ($this->cut) {
            Cut::Notch => sprintf('notch for %s, %s deep from the back edge', $name, ...$sizes),
            Cut::Slot => sprintf('slot for %s, %s deep from the back edge', $name, ...$sizes),
            Cut::SlotUp => sprintf('slot for %s, %s up from its foot: hole %s across', $name, ...$sizes),
            Cut::SlotDown => sprintf('slot for %s, %s down from its head: hole %s across', $name, ...$sizes),
            Cut::Opening => sprintf('opening for %s, %s by %s', $name, ...$sizes),
            Cut::Split => sprintf('split through the centre of a hole for %s, %s across; joined behind with a strip', $name, ...$sizes),
            Cut::Stop => "stops beside $name",
        };
    }
}
