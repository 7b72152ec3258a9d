<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Fit\Holds\WantsFlushRails;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\FlapForm;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hardware;
use Incastro\Units\Make\FlapSwing;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * One leaf hinged along its lower edge that stays hold level: a place to write, a bar. Flush, its lower edge stands on the upper plane
 * of the board below, and it bears on that board's front edge when it is open.
 */
#[About('drop-down', 'Drop-down flap', 'Falls level before the opening: to write, to fold.', 'Doors')]
final readonly class DropDown implements FrontUnit, WantsFlushRails
{
    /** A stay that is pulled by more tears out, N; and what it is rated over its pull. */
    private const MOST = 400.0;

    private const RATED = 1.25;

    /** Free fall, m/s². */
    private const G = 9.81;

    public function __construct(
        #[Choice('Lies', FlapForm::Flush)] public FlapForm $form,
        #[Count('Load at its front edge, N', 150, 50, 400, 'About a tenth of it in kg.')] public int $load,
        #[Count('Stays', 2, 1, 2)] public int $stays,
        #[Size('Stays over the hinge line', ['200', '8'], 80, 500, 'Where they are screwed to the sides.')] public Length $up,
        #[Toggle('Rails of a face frame flush with the boards', true)]
        #[When('form', FlapForm::Flush)]
        public bool $flush = true,
    ) {
    }

    public function hasFlushRails(): bool
    {
        return $this->flush && $this->form === FlapForm::Flush;
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        return new FrontDemand(
            Extent::between(Length::ofMillimetres(250), Length::ofMillimetres(1000), 'a flap needs %s'),
            Extent::between(Length::ofMillimetres(200), Length::ofMillimetres(700), 'a flap needs %s'),
            Length::zero(),
        );
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        if ($this->form === FlapForm::Flush && ($site->frame()[2] > 0.5 || $site->isOpenBelow())) {
            return new Assembly([], findings: [$this->notLevel($site)]);
        }
        [$left, $right, $below, $above] = $site->edges()->laps(Mount::Overlay);
        [$start, , $foot, $head] = $site->frame();
        $width = $site->edges()->over($site->between(), Mount::Overlay, $left, $right, 'left and right');
        $opening = $foot + $head < 1e-6 ? $site->height() : $site->height()->minus('what the frame stands inside the boards', Length::ofDouble($foot + $head));
        $knuckle = $terms->rules->either(1, 1 / 32);
        $isFlush = $this->form === FlapForm::Flush;
        $height = $isFlush
            ? $opening->plus('lap over it', $above)->minus('knuckle of the hinge', $knuckle)
            : $site->edges()->over($opening, Mount::Overlay, $below, $above, 'over and under');
        if (min($width->result->toDouble(), $height->result->toDouble()) < Leaf::LEAST) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('There is no room for a flap here; %s is the least that is made.', $terms->write(Leaf::LEAST)), $site->opening->tierId)->withWaysOut($this->away($site))]);
        }
        $piece = $site->make->moving('drop-down', 'Flap', $height, $width, Purpose::Front, Grain::Length, [new Finished('all four', Finish::Banded)], ['on a piano hinge along its lower edge'], $site->mark('drop-down'));
        $x = $start - $left->toDouble();
        $z = $isFlush ? $knuckle->toDouble() : $foot - $below->toDouble();
        $bump = $isFlush ? 0.0 : $site->edges()->bump();
        $placed = $site->placed($piece, $x, $site->face() + $bump, $z, Way::Up, Way::Right, Way::Out, Part::Face);
        $wide = $piece->width->result->toDouble();
        $high = $piece->length->result->toDouble();
        $pivot = $isFlush ? 0.0 : $z;
        $movement = (new FlapSwing($site, 'Flap of '.$site->name(), $this->away($site)))->down([$piece->key], $x, $pivot, $wide, $high + $z - $pivot, $placed->piece->thickness->toDouble() + $bump);

        return new Assembly([$placed], [], $this->hardware($site, $piece), [], $this->findings($site, $piece), [$movement]);
    }

    /** What each stay is pulled by when the load lies on the front edge, N: the moments about the hinge line, over its lever. */
    private function pull(Piece $piece): float
    {
        $high = $piece->length->result->toDouble();
        $along = $high / 2;
        $up = $this->up->toDouble();
        $arm = $up * $along / hypot($up, $along);

        return ($this->load * $high + $piece->weight() * self::G * $high / 2) / ($this->stays * $arm);
    }

    /** @return list<Hardware> */
    private function hardware(OpeningSite $site, Piece $piece): array
    {
        $less = $site->terms->rules->either(10, 3 / 8);
        $hinge = $piece->width->result->minus($less)->roundedDown($site->terms->format->step);

        return [
            new Hardware('piano hinge '.$site->terms->format->write($hinge), 1, 'flaps', ArticleKind::PianoHinge, $hinge),
            new Hardware(sprintf('flap stay that holds %.0f N', ceil(self::RATED * $this->pull($piece) / 10) * 10), $this->stays, 'flaps', ArticleKind::FlapStay),
            new Hardware('magnet catch', 2, 'flaps', ArticleKind::Magnet),
        ];
    }

    /** @return list<WayOut> */
    private function away(OpeningSite $site): array
    {
        return $site->unclosed('Take the flap away');
    }

    private function notLevel(OpeningSite $site): Finding
    {
        $front = $site->opening->front;
        $over = $front === null ? [] : [...($site->isOpenBelow() ? [] : [new WayOut('Make the rails flush with the boards', Edits::front($front->id)->setting(['flush' => true]))]), new WayOut('Let it lie over the front edges', Edits::front($front->id)->setting(['form' => FlapForm::Overlay->value]))];

        $why = $site->isOpenBelow() ? 'The bottom is left out here: a flap has no board to lie level with.' : sprintf('The rail of the face frame stands %s over the board below; a flap cannot lie level with it.', $site->terms->write($site->frame()[2]));

        return Finding::clash(Code::FlapNotLevel, $why, $site->opening->tierId)->withWaysOut([...$over, new WayOut('Band the front edges instead of a face frame', Edits::school('edges', Edges::Band->value)), ...$this->away($site)]);
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, Piece $piece): array
    {
        $pull = $this->pull($piece);
        $front = $site->opening->front;
        if ($pull <= self::MOST || $front === null) {
            return [];
        }
        $ways = $this->stays < 2 ? [new WayOut('Hold it by two stays', Edits::front($front->id)->setting(['stays' => 2]))] : [];

        return [Finding::clash(Code::StayWeak, sprintf('Each stay would be pulled by %.0f N; over %.0f they tear out. Hold it by two, let it be lower, or put legs under it.', $pull, self::MOST), $site->opening->tierId)->withWaysOut([...$ways, ...$this->away($site)])];
    }
}
