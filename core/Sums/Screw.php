<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\Style;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Sizes;

/**
 * The length of a screw: face to face no more than all boards less 3, into an edge 25 to 30 past what is before it, into a stud 25 to 32,
 * into masonry 50 (handbook, "Strength").
 */
#[About('screw', 'Screw', 'How long a screw may be, and must be.', 'To fix')]
final readonly class Screw implements Sum
{
    private const LEFT = [3.0, 1 / 8];

    /** Into an edge and into a stud: least and most hold, mm and inches; into masonry. */
    private const EDGE = [[25.0, 1.0], [30.0, 1.25]];

    private const STUD = [[25.0, 1.0], [32.0, 1.25]];

    private const MASONRY = [50.0, 2.0];

    /** Face to face it holds so much of the last board at least, and at most so much is asked; mm. */
    private const HOLD = 0.6;

    private const HOLDS = [8.0, 25.0];

    /** @param list<Length> $layers */
    public function __construct(
        #[Sizes('Layers from the head on', 5, 0.1, 300, 'Up to five thicknesses with “;” between them.', ['18.1; 18.1', '23/32; 23/32'])] public array $layers,
        #[Choice('It holds in', ScrewInto::Board)] public ScrewInto $into,
    ) {
    }

    public function formula(): string
    {
        return match ($this->into) {
            ScrewInto::Board => 'all boards − 3 mm (1/8 in) at most',
            ScrewInto::Edge => 'what is before the edge + 25 to 30 mm (1 to 1 1/4 in)',
            ScrewInto::Stud => 'all layers + 25 to 32 mm (1 to 1 1/4 in)',
            ScrewInto::Masonry => 'all layers + 50 to 60 mm (2 to 2 3/8 in)',
        };
    }

    public function work(LengthFormat $format): Worked
    {
        $either = fn (array $size): float => $format->unit->isMetric() ? $size[0] : 25.4 * $size[1];
        $mm = array_map(fn (Length $one) => $one->toDouble(), $this->layers);
        $isBehind = $this->into === ScrewInto::Stud || $this->into === ScrewInto::Masonry;
        if (! $isBehind && count($mm) < 2) {
            throw new CannotBe('layers', 'Which is the last? A screw through one board holds in nothing.');
        }
        $all = array_sum($mm);
        $last = $mm[count($mm) - 1];
        $before = $isBehind ? $all : $all - $last;
        [$least, $most] = match ($this->into) {
            ScrewInto::Board => [$before + min(self::HOLDS[1], max(self::HOLDS[0], self::HOLD * $last)), $all - $either(self::LEFT)],
            ScrewInto::Edge => [$before + $either(self::EDGE[0]), $before + $either(self::EDGE[1])],
            ScrewInto::Stud => [$before + $either(self::STUD[0]), $before + $either(self::STUD[1])],
            ScrewInto::Masonry => [$before + $either(self::MASONRY), $before + $either(self::MASONRY) + $either([10.0, 3 / 8])],
        };
        $sold = ArticleKind::Screw->lengths($format->unit);
        $fit = array_values(array_filter($sold, fn (Length $one) => $one->toDouble() >= $least - 1e-6 && $one->toDouble() <= $most + 1e-6));
        // Face to face the longest, else the shortest that holds.
        $screw = $fit === [] ? null : ($this->into === ScrewInto::Board ? $fit[count($fit) - 1] : $fit[0]);
        $finest = $format->finest();
        $text = fn (float $one): string => $finest->write(Length::ofDouble($one));
        $stack = [];
        $x = 0.0;
        foreach ($mm as $thick) {
            $stack[] = Sketch::board($x, 0.0, $thick, 120.0);
            $x += $thick;
        }
        $long = $screw?->toDouble() ?? $most;

        return new Worked([
            new Answer('Screw', $screw === null ? 'none that is sold' : $format->write($screw)),
            new Answer('Between', $text($least).' and '.$text($most)),
            ...$screw === null ? [] : [new Answer('It holds', $text($screw->toDouble() - $before)), ...$this->into === ScrewInto::Board ? [new Answer('From the face', $text($all - $screw->toDouble()))] : []],
        ], new Drawing('Screw', [
            'boards' => $stack,
            'furniture' => [...$isBehind ? [Sketch::frame($all, -20.0, max(40.0, $long - $all + 15.0), 160.0)] : [], Sketch::line([[0.0, 52.0], [0.0, 68.0], [4.0, 63.0], [$long - 4.0, 63.0], [$long, 60.0], [$long - 4.0, 57.0], [4.0, 57.0]], true, Style::Cut)],
            'answers' => [Sketch::answer(0.0, $long, -35.0, $screw === null ? '–' : $format->write($screw)), Sketch::across(0.0, $all, 140.0, $text($all))],
        ]), [...$screw === null ? ['None fits: a washer, a counterbore, or packing under its head changes the thickness before it.'] : [], ...$isBehind ? ['Wires and pipes run in walls: a detector before each screw.'] : []]);
    }
}
