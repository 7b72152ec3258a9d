<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;

/** A drawer box between slides: width w − 2·slide − 1 mm or 1/32 in, front and back two sides less, the bottom in its groove or laid on. */
#[About('drawer', 'Drawer box', 'Five pieces for an opening and its slides.', 'Boxes')]
final readonly class DrawerSum implements Sum
{
    /** A bottom in its groove, mm and inches. */
    private const LOOSE = [2.0, 1 / 16];

    public function __construct(
        #[Size('Width of the opening', ['523', '20 9/16'], 50, 3_000)] public Length $width,
        #[Size('Height of the opening', ['180', '7 1/8'], 40, 1_500)] public Length $height,
        #[Size('Depth of the opening', ['355', '14'], 100, 2_000)] public Length $depth,
        #[Size('Thickness of a slide', Rule::SlideThickness, 1, 40)] public Length $slide,
        #[Size('Thickness of the boards', ['12', '1/2'], 3, 40)] public Length $board,
        #[Size('Thickness of an inset front, or 0', ['18.1', '23/32'], 0, 60)] public Length $front,
        #[Choice('The bottom is', BottomIn::Groove)] public BottomIn $bottom,
        #[Size('Depth of its groove', ['6', '1/4'], 2, 15)]
        #[When('bottom', BottomIn::Groove)]
        public Length $groove,
    ) {
    }

    public function formula(): string
    {
        return 'box = opening − 2 × slide − 1 mm (1/32 in); front and back = box − 2 × board; bottom = front + 2 × groove − 2 mm (1/16 in); height = opening − 25 mm (1 in) at most; slide = depth − front − 10 mm (3/8 in) at most';
    }

    public function work(LengthFormat $format): Worked
    {
        $rules = new HouseRules($format->unit);
        $loose = $rules->either(...self::LOOSE);
        $back = $rules->get(Rule::SlideFront);
        $finest = $format->finest();
        $wide = Working::start('width of the opening', $this->width)->minusTimes('slides', 2, $this->slide)->minus('play', $rules->get(Rule::SlidePlay));
        $inner = Working::start('width of the box', $wide->result)->minusTimes('sides', 2, $this->board);
        if (! $inner->result->isPositive()) {
            $least = $this->slide->plus($this->board)->times(2)->plus($rules->get(Rule::SlidePlay));
            throw new CannotBe('width', sprintf('Slides and sides need an opening of more than %s.', $finest->write($least)));
        }
        $most = $this->depth->minus($rules->get(Rule::SlideEnd))->minus($this->front);
        $lengths = array_filter(ArticleKind::Slides->lengths($format->unit), fn (Length $one) => ! $one->isGreaterThan($most));
        $slide = $lengths === [] ? throw new CannotBe('depth', sprintf('The shortest slide is %s; the opening leaves %s.', $format->write(ArticleKind::Slides->lengths($format->unit)[0]), $format->write($most->isNegative() ? Length::zero() : $most))) : $lengths[array_key_last($lengths)];
        $high = Working::start('height of the opening', $this->height)->minus('free above and below', $rules->get(Rule::DrawerAir));
        $isGroove = $this->bottom === BottomIn::Groove;
        $bottom = $isGroove ? Working::start('front and back', $inner->result)->plusTimes('grooves', 2, $this->groove)->minus('loose', $loose) : Working::start('width of the box', $wide->result);
        $deep = $isGroove ? Working::start('length of the slides', $slide)->minusTimes('front and back', 2, $this->board)->plusTimes('grooves', 2, $this->groove)->minus('loose', $loose) : Working::start('length of the slides', $slide);
        [$w, $h] = [$this->width->toDouble(), $this->height->toDouble()];
        [$bw, $s] = [$wide->result->toDouble(), $this->slide->toDouble()];

        return new Worked([
            new Answer('Box wide', $finest->write($wide->result), $wide),
            new Answer('Two sides', $finest->writeSize($slide, $high->result)),
            new Answer('Front and back', $finest->writeSize($inner->result, $high->result), $inner),
            new Answer('Bottom', $finest->writeSize($bottom->result, $deep->result), $bottom),
            new Answer('High, at most', $finest->write($high->result), $high),
            new Answer('Slides', $format->write($slide)),
        ], new Drawing('Drawer', [
            'house' => [Sketch::frame(0.0, 0.0, $w, $h)],
            'furniture' => [Sketch::board(($w - $bw) / 2, 8.0, $bw, max(1.0, $high->result->toDouble()))],
            'answers' => [Sketch::answer(($w - $bw) / 2, ($w + $bw) / 2, $h / 2, $finest->write($wide->result)), Sketch::across(0.0, $w, -$w / 20, $format->write($this->width)), Sketch::across(($w - $bw) / 2 - $s, ($w - $bw) / 2, $h + $w / 25, $finest->write($this->slide))],
        ]), $this->front->isZero() ? [] : [sprintf('Set the slides back by the front and %s: %s.', $finest->write($back), $finest->write($this->front->plus($back)))]);
    }
}
