<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Fit\Holds\WantsFlushRails;
use Incastro\Fit\Terms;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
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
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Channel;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Sites\OpeningSite;

/**
 * Thin leaves that slide past each other inside the opening, in channels above and below. The upper channel is as much deeper than the
 * lower one that a leaf is put in head first, lifted over the lower edge, and let down; down, it is held above all the same.
 */
#[About('sliding', 'Sliding leaves', 'Slide past each other; nothing swings.', 'Doors')]
final readonly class Sliding implements FrontUnit, WantsFlushRails
{
    /** How far the head of a leaf that is down must reach into its channel; mm, in. */
    private const HELD = [4.0, 5 / 32];

    /** Left of a board under a groove. */
    private const LEFT = [6.0, 1 / 4];

    /** A channel is so much wider than its leaf; before the first and behind each there is wood so wide. */
    private const WIDER = [1.5, 1 / 16];

    private const FRONT_LAND = [8.0, 5 / 16];

    private const LAND = [6.0, 1 / 4];

    private const LEAST = 100.0;

    public function __construct(
        #[Count('Leaves', 2, 2, 4)] public int $leaves,
        #[Count('Tracks', 2, 2, 4)] public int $tracks,
        #[Choice('Run in', Channel::Groove)] public Channel $channel,
        #[Size('Lap over each other', ['30', '1 1/4'], 15, 120)] public Length $overlap,
        #[Made('Made of', Purpose::Panel)] public ?string $made = null,
        #[Toggle('Rails of a face frame flush with the boards', true)] public bool $flush = true,
    ) {
    }

    public function hasFlushRails(): bool
    {
        return $this->flush;
    }

    private function thick(Catalogue $materials): float
    {
        return $materials->using(Purpose::Panel, $this->made)->for(Purpose::Panel)->thickness->toDouble();
    }

    /** @return array{float, float} wood before the first channel, and behind each; strips are as thick as the panels they are ripped from */
    private function lands(HouseRules $rules, Catalogue $materials): array
    {
        return $this->channel === Channel::Groove
            ? [$rules->either(...self::FRONT_LAND)->toDouble(), $rules->either(...self::LAND)->toDouble()]
            : array_fill(0, 2, $materials->for(Purpose::Panel)->thickness->toDouble());
    }

    private function ways(): int
    {
        return min($this->tracks, $this->leaves);
    }

    /** How much of the depth the channels take. */
    private function depth(HouseRules $rules, Catalogue $materials): float
    {
        [$front, $behind] = $this->lands($rules, $materials);

        return $front + $this->ways() * ($this->thick($materials) + $rules->either(...self::WIDER)->toDouble() + $behind);
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $frame = $rules->schools->edges === Edges::Frame ? $materials->frame->thickness : Length::zero();
        $clear = $rules->either(3, 1 / 8);

        return new FrontDemand(
            Extent::atLeast(Length::ofMillimetres(300), 'sliding leaves need %s'),
            Extent::between(Length::ofMillimetres(150), Length::ofMillimetres(1800), 'sliding leaves need %s'),
            $frame->plus(Length::ofDouble($this->depth($rules, $materials)))->plus($clear),
        );
    }

    /** @return array{Length, Length} depth of the upper and the lower channel */
    private function channels(Terms $terms): array
    {
        $isInch = $terms->rules->unit === Unit::Inch;
        $fine = LengthFormat::of($isInch ? 'in/32' : 'mm/0.5');
        if ($this->channel === Channel::Strips) {
            return [$terms->rules->either(13, 1 / 2), $terms->rules->either(5, 3 / 16)];
        }
        $most = $terms->rules->either(12, 1 / 2);
        $left = $terms->materials->carcass->thickness->minus($terms->rules->either(...self::LEFT));

        return [($left->isLessThan($most) ? $left : $most)->roundedDown($fine->step), $terms->rules->either(4, 5 / 32)];
    }

    public function build(OpeningSite $site): Assembly
    {
        if ($site->isOpenBelow()) {
            return new Assembly([], findings: [Finding::clash(Code::LeafCannotLift, 'The bottom is left out here: sliding leaves run on one.', $site->opening->tierId)->withWaysOut($site->unclosed('Take the leaves away'))]);
        }
        $terms = $site->terms;
        $site = $site->madeOf(Purpose::Panel, $this->made);
        [$above, $below] = $this->channels($terms);
        $play = $terms->rules->either(1.5, 1 / 16);
        $height = ($this->channel === Channel::Groove ? $site->height()->plus('into the upper groove', $above) : $site->height()->minus('over the lower strip it is lifted', $below))
            ->minusTimes('play above and below', 2, $play)
            ->roundedDown($terms->format->fine());
        $width = $site->width()->plusTimes('laps', $this->leaves - 1, $this->overlap)->dividedBy('leaves', $this->leaves)->roundedDown($terms->format->fine());
        $findings = $this->findings($site, $height, $above, $below, $play);
        if ($findings !== []) {
            return new Assembly([], findings: $findings);
        }
        $thick = $this->thick($terms->materials);
        [$front, $behind] = $this->lands($terms->rules, $terms->materials);
        $wide = $width->result->toDouble();
        $clear = $site->width()->result->toDouble();
        $channel = $thick + $terms->rules->either(...self::WIDER)->toDouble();
        $edge = $site->face() - $terms->frame()->toDouble();
        $z = $this->channel === Channel::Groove ? -$below->toDouble() : 0.0;
        $placed = $joints = $movements = [];
        [$floor, $head] = $site->boards();
        for ($j = 0; $j < $this->leaves; $j++) {
            $track = $j % $this->ways();
            $y = $edge - $front - $track * ($channel + $behind) - $channel + ($channel - $thick) / 2;
            $role = 'sliding-'.($j + 1);
            $piece = $site->make->moving($role, 'Sliding leaf', $height, $width, Purpose::Panel, Grain::Length, [], [$this->channel === Channel::Groove ? 'in grooves above and below, waxed' : 'between strips above and below, waxed'], $site->mark($role));
            $placed[] = $site->placed($piece, $j * ($clear - $wide) / ($this->leaves - 1), $y, $z, Way::Up, Way::Right, Way::Out, Part::Face);
            if ($this->channel === Channel::Groove) {
                $joints[] = new Joint($piece->key, $floor, JointKind::Glue, 'sliding leaves', $below->toDouble());
                $joints[] = new Joint($piece->key, $head, JointKind::Glue, 'sliding leaves', $above->toDouble());
            }
            if ($j === 0) {
                $swept = $site->block(0.0, $clear, $y, $y + $thick, 0.0, $site->height()->result->toDouble());
                $movements[] = new Movement('Sliding leaf of '.$site->name(), $site->opening->tierId, [$piece->key], [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Right->vector(), $clear - $wide));
            }
        }
        $hardware = [new Hardware('flush cup pull', $this->leaves, 'sliding leaves', ArticleKind::FlushCup)];

        return Assembly::all(new Assembly($placed, $joints, $hardware, [], [], $movements), $this->channel === Channel::Strips ? $this->strips($site, $above, $below, $edge, $front, $behind, $channel) : new Assembly([]));
    }

    /** Strips before, between and behind the channels, above and below. */
    private function strips(OpeningSite $site, Length $above, Length $below, float $edge, float $front, float $behind, float $channel): Assembly
    {
        $placed = [];
        $high = $site->height()->result->toDouble();
        for ($i = 0; $i <= $this->ways(); $i++) {
            $y = $i === 0 ? $edge - $front : $edge - $front - $i * ($channel + $behind);
            foreach (['lower' => $below, 'upper' => $above] as $which => $size) {
                $role = "sliding-$which-strip-".($i + 1);
                $piece = $site->make->inner($role, ucfirst($which).' strip', $site->width(), Working::start('height of the strip', $size), Purpose::Panel, Grain::Length, [], ['glued and nailed on'], null, $site->mark($role));
                $placed[] = $site->placed($piece, 0.0, $y, $which === 'lower' ? 0.0 : $high - $piece->width->result->toDouble(), Way::Right, Way::Up, Way::Out, Part::Cleat);
            }
        }
        [$floor, $head] = $site->boards();

        return new Assembly($placed, array_map(fn ($one) => new Joint($one->piece->key, str_contains($one->piece->key, 'lower') ? $floor : $head, JointKind::Nails, 'strips for sliding leaves'), $placed));
    }

    /** @return list<Finding> what keeps them from being made */
    private function findings(OpeningSite $site, Working $height, Length $above, Length $below, Length $play): array
    {
        $terms = $site->terms;
        $front = $site->opening->front;
        $tier = $site->opening->tierId;
        $away = $site->unclosed('Take the leaves away');
        $setting = fn (string $label, array $with): array => $front === null ? [] : [new WayOut($label, Edits::front($front->id)->setting($with))];
        [, , $foot, $top] = $site->frame();
        if (abs($site->upper(0.0) - $site->upper($site->width()->result->toDouble())) > 1e-6 || $site->inside($site->height()->result->toDouble())->result->toDouble() < 0.0) {
            return [Finding::clash(Code::TooSmall, 'Sliding leaves need an opening with a level head; under a slope a door closes it.', $tier)->withWaysOut($away)];
        }
        if (min($height->result->toDouble(), $site->width()->result->toDouble()) < self::LEAST) {
            return [Finding::clash(Code::TooSmall, sprintf('There is no room for sliding leaves here; %s is the least that is made.', $terms->write(self::LEAST)), $tier)->withWaysOut($away)];
        }
        if ($foot + $top > 0.5) {
            return [Finding::clash(Code::LeafOverRail, sprintf('A sliding leaf is %s high; between the rails of the face frame there are %s, and it could not be put in.', $terms->format->write($height->result), $terms->write($site->height()->result->toDouble() - $foot - $top)), $tier)
                ->withWaysOut([...$setting('Make the rails flush with the boards', ['flush' => true]), new WayOut('Band the front edges instead of a face frame', Edits::school('edges', Edges::Band->value)), ...$away])];
        }
        $held = $above->minus($below)->minus($play->times(2))->toDouble();
        if ($held < $terms->rules->either(...self::HELD)->toDouble() - 1e-6) {
            return [Finding::clash(Code::LeafCannotLift, sprintf('A groove of %s above is too shallow: a leaf that can be lifted out would be held by %s. Strips take it.', $terms->format->write($above), $terms->write(max(0.0, $held))), $tier)->withWaysOut([...$setting('Run them between strips', ['channel' => Channel::Strips->value]), ...$away])];
        }

        return [];
    }
}
