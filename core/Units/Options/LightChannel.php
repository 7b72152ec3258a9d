<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Fit\Layout\Option;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Tool;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Hardware;
use Incastro\Units\LightForm;
use Incastro\Units\Make\CableChannel;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A light strip in its profile, let into the lower face of the board over an opening: the groove is the profile and its play wide and
 * deep, and leaves 8 mm or 5/16 in of the board.
 */
#[About('light-channel', 'Light strip', 'A groove under the board over it for a strip in its profile.', 'Cables')]
final readonly class LightChannel implements BoxOption
{
    /** What is left over a groove, and the play of a profile across and in depth; mm and inches. */
    private const LEFT = [8.0, 5 / 16];

    private const PLAY = [[0.5, 1 / 32], [0.3, 1 / 64]];

    /** A board this near to the opening is the one over it, mm. */
    private const BESIDE = 0.6;

    /** A shorter one lights nothing, mm. */
    private const SHORTEST = 100.0;

    public function __construct(
        #[Size('Width of the profile', ['17.1', '5/8'], 8, 40, 'As measured.')] public Length $wide,
        #[Size('Height of the profile', ['8', '1/4'], 5, 20, 'As measured.')] public Length $high,
        #[Size('Its middle from the front edge', ['40', '1 1/2'], 25, 120)] public Length $front,
        #[Size('Profile short of the groove at each end', ['5', '3/16'], 0, 50)] public Length $short,
        #[Choice('Lies', LightForm::Groove)] public LightForm $form = LightForm::Groove,
        #[Size('Cable, thickness', ['6', '1/4'], 3, 20)]
        #[When('form', LightForm::Surface)]
        public ?Length $cable = null,
    ) {
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $terms = $site->terms;
        $board = $this->over($site, $box);
        $away = new WayOut('Take the light away', Edits::withoutOption($id));
        if ($board === null) {
            return $box->finding(Finding::clash(Code::OpeningNowhere, sprintf('No level board lies over this part of %s.', $site->box->mark), $site->opening->tierId)->withWaysOut([$away]));
        }
        [$across, $in] = array_map(fn (array $play) => $terms->rules->either(...$play), self::PLAY);
        $groove = Working::start('width of the profile', $this->wide)->plus('play', $across);
        $deep = Working::start('height of the profile', $this->high)->plus('play', $in);
        $long = $site->width()->roundedDown($terms->format);
        $profile = Working::start('clear width', $long->result)->minusTimes('short at both ends', 2, $this->short)->roundedDown($terms->format);
        $left = $board->piece->thickness->minus($deep->result);
        $least = $terms->rules->either(...self::LEFT);
        $fine = $terms->format->finest();
        if ($this->form === LightForm::Surface && $profile->result->toDouble() >= self::SHORTEST) {
            return $this->onBoard($site, $box, $board, $profile, $id);
        }
        if ($left->isLessThan($least) || $profile->result->toDouble() < self::SHORTEST) {
            $most = $board->piece->thickness->minus($least)->minus($in)->roundedDown($fine->step);
            $flatter = $most->toDouble() >= 5.0 && ! $profile->result->isLessThan(Length::ofDouble(self::SHORTEST)) ? [new WayOut('A profile of '.$fine->write($most), Edits::option($id)->measuring('with.high', $most))] : [];
            $sentence = $left->isLessThan($least) ? sprintf('Only %s of %s would be left over the groove; it takes %s.', $fine->write($left->isNegative() ? Length::zero() : $left), $board->piece->mark, $fine->write($least)) : sprintf('A light under %s would be %s long: too short to light anything.', $board->piece->mark, $terms->format->write($profile->result));

            $surface = $left->isLessThan($least) ? [new WayOut('Lay it on the board', Edits::option($id)->setting(['form' => LightForm::Surface->value]))] : [];

            return $box->finding(Finding::clash(Code::GrooveDeep, $sentence, $site->opening->tierId)->withWaysOut([...$surface, ...$flatter, $away]));
        }
        $words = sprintf('groove under it for a light, %s wide, %s deep and %s long, its middle %s from the front%s', $fine->write($groove->result), $fine->write($deep->result), $terms->format->write($long->result), $terms->format->write($this->front), $terms->rules->owns(Tool::Router) || $terms->rules->owns(Tool::TableSaw) ? '' : ': without a router or a table saw it is cut at the yard');
        $worked = $board->withPiece($board->piece->worked(new OpenedThrough($words)));
        $placed = array_map(fn (Placed $one) => $one === $board ? $worked : $one, $box->placed);

        return Assembly::all($box->placing($placed, $box->joints)->bought($this->bought($terms->format, $profile)), new Assembly([], [], [], ['Groove across, '.$site->name() => $groove, 'Groove deep, '.$site->name() => $deep, 'Profile, '.$site->name() => $profile], $this->findings($site, $board, $id)));
    }

    /** On the lower face of its board, its cable in a channel along the rear. */
    private function onBoard(OpeningSite $site, Assembly $box, Placed $board, Working $profile, string $id): Assembly
    {
        $channel = (new CableChannel($site))->under($board, $this->cable ?? $site->terms->rules->either(6, 0.25), $this->high);

        return Assembly::all($box->bought($this->bought($site->terms->format, $profile)), $channel, new Assembly([], [], [], ['Profile, '.$site->name() => $profile], $this->findings($site, $board, $id)));
    }

    /** @return list<Hardware> */
    private function bought(LengthFormat $format, Working $profile): array
    {
        return [
            new Hardware('profile with a light strip, '.$format->write($profile->result), 1, 'lights', ArticleKind::LightProfile, $profile->result),
            new Hardware('driver of a light strip', 1, 'lights', ArticleKind::LightDriver),
        ];
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, Placed $board, string $id): array
    {
        $tier = $site->opening->tierId;
        $caution = Finding::note(Code::Caution, sprintf('The light under %s is of low voltage; its driver stays in reach with air round it, and its cable has a hole in every board on its way, bored before the box is put together. The mains side is an electrician’s work.', $board->piece->mark), $tier);
        $hasWay = $site->box->has(LeavesBackOut::class) || array_filter($site->opening->options, fn (Option $option) => $option->holds instanceof CableHole) !== [];
        $hole = new WayOut('Bore a hole for its cable', Edits::action('add', $tier, "cable-$id", ['list' => 'options', 'kind' => Blueprint::of(CableHole::class)->about->kind, 'cells' => [$tier]]));

        return $hasWay ? [$caution] : [$caution, Finding::warning(Code::NoCableWay, sprintf('The cable of the light under %s has no way out of %s.', $board->piece->mark, $site->name()), $tier)->withWaysOut([$hole])];
    }

    private function over(OpeningSite $site, Assembly $box): ?Placed
    {
        $top = $site->at(0.0, 0.0, $site->height()->result->toDouble())->z;
        $middle = $site->at($site->width()->result->toDouble() / 2, 0.0, 0.0)->x;
        foreach ($box->placed as $placed) {
            $isLevel = $placed->part === Part::Body && $placed->pose->isSquare() && Pose::axis($placed->pose->thickness) === Axis::Z;
            if ($isLevel && abs($placed->bounds->z0 - $top) < self::BESIDE && $placed->bounds->u0 < $middle && $placed->bounds->u1 > $middle) {
                return $placed;
            }
        }

        return null;
    }
}
