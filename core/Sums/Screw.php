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
use Incastro\Strength\Stack;

/**
 * The length of a screw: face to face no more than all boards less 3, into an edge 25 to 30 past what is before it, into a stud 25 to 32,
 * into masonry 50 (handbook, "Strength").
 */
#[About('screw', 'Screw', 'How long a screw may be, and must be.', 'To fix')]
final readonly class Screw implements Sum
{
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
        $mm = array_map(fn (Length $one) => $one->toDouble(), $this->layers);
        $isBehind = $this->into === ScrewInto::Stud || $this->into === ScrewInto::Masonry;
        if (! $isBehind && count($mm) < 2) {
            throw new CannotBe('layers', 'Which is the last? A screw through one board holds in nothing.');
        }
        $all = array_sum($mm);
        $last = $mm[count($mm) - 1];
        $before = $isBehind ? $all : $all - $last;
        $stack = match ($this->into) {
            ScrewInto::Board => Stack::faceToFace($before, $last, $format->unit),
            ScrewInto::Edge => Stack::intoEdge($before, $format->unit),
            ScrewInto::Stud => Stack::intoStud($before, $format->unit),
            ScrewInto::Masonry => Stack::intoMasonry($before, $format->unit),
        };
        $sold = array_map(fn (Length $one) => $one->toDouble(), ArticleKind::Screw->lengths($format->unit));
        // Face to face the longest, else the shortest that holds.
        $long = $this->into === ScrewInto::Board ? $stack->longest($sold) : $stack->shortest($sold);
        $screw = $long === null ? null : Length::ofDouble($long);
        $finest = $format->finest();
        $text = fn (float $one): string => $finest->write(Length::ofDouble($one));
        $boards = [];
        $x = 0.0;
        foreach ($mm as $thick) {
            $boards[] = Sketch::board($x, 0.0, $thick, 120.0);
            $x += $thick;
        }
        $long ??= $stack->most;

        return new Worked([
            new Answer('Screw', $screw === null ? 'none that is sold' : $format->write($screw)),
            new Answer('Between', $text($stack->least).' and '.$text($stack->most)),
            ...$screw === null ? [] : [new Answer('It holds', $text($screw->toDouble() - $before)), ...$this->into === ScrewInto::Board ? [new Answer('From the face', $text($all - $screw->toDouble()))] : []],
        ], new Drawing('Screw', [
            'boards' => $boards,
            'furniture' => [...$isBehind ? [Sketch::frame($all, -20.0, max(40.0, $long - $all + 15.0), 160.0)] : [], Sketch::line([[0.0, 52.0], [0.0, 68.0], [4.0, 63.0], [$long - 4.0, 63.0], [$long, 60.0], [$long - 4.0, 57.0], [4.0, 57.0]], true, Style::Cut)],
            'answers' => [Sketch::answer(0.0, $long, -35.0, $screw === null ? '–' : $format->write($screw)), Sketch::across(0.0, $all, 140.0, $text($all))],
        ]), [...$screw === null ? ['None fits: a washer, a counterbore, or packing under its head changes the thickness before it.'] : [], ...$isBehind ? ['Wires and pipes run in walls: a detector before each screw.'] : []]);
    }
}
