<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\TakesBack;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * A false back on cleats before the back of an opening: papers and cables behind it, or a valve that stays within reach. The panel is
 * held by magnets and taken out through the opening, whole, tipped, or in two halves.
 */
#[About('hidden-compartment', 'Hidden compartment', 'A false back, held by magnets, with room behind it.', 'Backs')]
final readonly class HiddenCompartment implements BoxOption, TakesBack
{
    /** Cleats are so wide, the one that two halves meet on twice as much; mm and inches. */
    private const CLEAT = [20.0, 3 / 4];

    /** A panel passes an opening with so much to spare, mm. */
    private const SPARE = 3.0;

    /** A larger panel has more magnets, mm². */
    private const LARGE = 500_000.0;

    private const LEAST = 150.0;

    public function __construct(#[Size('Depth behind it', ['80', '3'], 40, 300)] public Length $depth)
    {
    }

    public function takes(Catalogue $materials): Length
    {
        return $this->depth->plus($materials->for(Purpose::Panel)->thickness);
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $terms = $site->terms;
        $away = new WayOut('Take the hidden compartment away', Edits::withoutOption($id));
        $found = fn (Code $code, string $sentence, WayOut ...$ways): Finding => Finding::clash($code, $sentence, $site->opening->tierId)->withWaysOut([...array_values($ways), $away]);
        $left = $site->inside($site->height()->result->toDouble())->result->toDouble();
        if ($left < $terms->rule(Rule::LeastDepth)) {
            return $box->finding($found(Code::TooShallow, sprintf('Before the hidden compartment %s of depth are left; things fall off a shelf of less than %s.', $terms->write(max(0.0, $left)), $terms->write($terms->rule(Rule::LeastDepth)))));
        }
        if ($site->under() < $site->height()->result->toDouble() - 1.0) {
            return $box->finding($found(Code::PanelCaught, 'Under a slope that comes down to the back there is no room for a false back.'));
        }
        $deep = $this->depth->toDouble();
        if ($site->nailersIn(0.0, $site->height()->result->toDouble()) !== [] && $deep < 2 * $terms->board()) {
            $least = Length::ofDouble(2 * $terms->board())->roundedUp($terms->format->step);

            return $box->finding($found(Code::TooShallow, sprintf('A compartment of %s has no room for its cleats before the nailers.', $terms->format->write($this->depth)), new WayOut(sprintf('Make it %s deep', $terms->format->write($least)), Edits::option($id)->measuring('with.depth', $least))));
        }
        $play = $terms->rules->either(3, 1 / 8);
        $height = $site->height()->minus('play', $play);
        $whole = $site->width()->minus('play', $play);
        $parts = 1;
        if (! $this->passes($site, $whole->result->toDouble(), $height->result->toDouble(), $left)) {
            $parts = 2;
            $whole = $whole->minus('between the halves', $terms->rules->either(1, 1 / 32))->dividedBy('halves', 2);
        }
        if (min($whole->result->toDouble(), $height->result->toDouble()) < self::LEAST / 2 || ! $this->passes($site, $whole->result->toDouble(), $height->result->toDouble(), $left)) {
            return $box->finding($found(Code::PanelCaught, sprintf('A false back of %s × %s neither passes its opening nor can be tipped in.', $terms->format->write($whole->result), $terms->format->write($height->result))));
        }
        $blocks = array_filter($box->placed, fn (Placed $one) => $one->part === Part::Body && str_starts_with($one->piece->key, $site->opening->tierId.':') && ! str_ends_with($one->piece->key, ':board') && $this->standsBefore($site, $one));
        if ($blocks !== []) {
            return $box->finding($found(Code::PanelCaught, sprintf('%s is fixed before the false back, which then cannot be taken out.', reset($blocks)->piece->mark)));
        }
        $built = $this->built($site, $whole, $height, $parts, $deep);

        return Assembly::all($box, $built);
    }

    private function standsBefore(OpeningSite $site, Placed $one): bool
    {
        [$from, $to] = [$site->at(0.0, 0.0, 0.0), $site->at($site->width()->result->toDouble(), 0.0, $site->height()->result->toDouble())];

        return $one->bounds->u0 > $from->x - 10.0 && $one->bounds->u1 < $to->x + 10.0 && $one->bounds->z0 > $from->z + 1.0 && $one->bounds->z1 < $to->z - 1.0;
    }

    /** Whether a panel goes through the face opening, straight or tipped about its longer way; mm. */
    private function passes(OpeningSite $site, float $wide, float $high, float $depth): bool
    {
        $across = $site->between()->result->toDouble() - self::SPARE;
        [, , $foot] = $site->frame();
        $up = min($site->upper(0.0), $site->upper($site->width()->result->toDouble())) - $foot - self::SPARE;
        $thick = $site->terms->materials->for(Purpose::Panel)->thickness->toDouble();
        $tips = function (float $long, float $limit) use ($thick, $depth): bool {
            for ($turned = 0.0; $turned < M_PI / 2; $turned += M_PI / 360) {
                if ($long * cos($turned) + $thick * sin($turned) <= $limit) {
                    return $long * sin($turned) + $thick * cos($turned) <= $depth;
                }
            }

            return false;
        };

        return match (true) {
            $wide <= $across && $high <= $up => true,
            $wide <= $across => $tips($high, $up),
            $high <= $up => $tips($wide, $across),
            default => false,
        };
    }

    private function built(OpeningSite $site, Working $width, Working $height, int $parts, float $deep): Assembly
    {
        $terms = $site->terms;
        $cleat = $terms->rules->either(...self::CLEAT);
        $wide = $cleat->toDouble();
        $t = $terms->board();
        $clear = $site->width()->result->toDouble();
        $high = $site->height()->result->toDouble();
        $y = $deep - $t;
        $across = Working::start('width of a cleat', $cleat);
        $upright = $site->height()->minus('air', $terms->rules->either(1, 1 / 32));
        $level = $site->width()->minusTimes('two cleats', 2, $cleat);
        $make = fn (string $role, Working $length, Working $across) => $site->make->inner("hidden-$role", 'Cleat', $length, $across, Purpose::Carcass, Grain::Length, [], ['screwed to the boards round it'], null, $site->mark("hidden-$role"));
        $placed = [
            $site->placed($left = $make('cleat-L', $upright, $across), 0.0, $y, 0.0, Way::Up, Way::Right, Way::Out, Part::Cleat),
            $site->placed($right = $make('cleat-R', $upright, $across), $clear - $wide, $y, 0.0, Way::Up, Way::Right, Way::Out, Part::Cleat),
            $site->placed($make('cleat-foot', $level, $across), $wide, $y, 0.0, Way::Right, Way::Up, Way::Out, Part::Cleat),
            $site->placed($make('cleat-head', $level, $across), $wide, $y, $high - $wide, Way::Right, Way::Up, Way::Out, Part::Cleat),
        ];
        if ($parts === 2) {
            $middle = $make('cleat-middle', $site->height()->minusTimes('two cleats', 2, $cleat), Working::start('width of the middle cleat', $cleat->times(2)));
            $placed[] = $site->placed($middle, $clear / 2 - $wide, $y, $wide, Way::Up, Way::Right, Way::Out, Part::Cleat);
        }
        [$boardL, $boardR] = $site->beside();
        $area = 0.0;
        for ($i = 1; $i <= $parts; $i++) {
            $piece = $site->make->inner("hidden-panel-$i", $parts === 1 ? 'False back' : 'False back, half', $height, $width, Purpose::Panel, Grain::Length, [], ['held by magnets; a hole for a finger, or a strap'], null, $site->mark("hidden-panel-$i"));
            $gap = ($clear - $parts * $piece->width->result->toDouble()) / ($parts + 1);
            $placed[] = $site->placed($piece, $gap + ($i - 1) * ($piece->width->result->toDouble() + $gap), $deep, ($high - $piece->length->result->toDouble()) / 2, Way::Up, Way::Right, Way::Out, Part::Loose);
            $area += $piece->outline->area();
        }

        return new Assembly($placed, [new Joint($left->key, $boardL, JointKind::Nails, 'cleats of false backs'), new Joint($right->key, $boardR, JointKind::Nails, 'cleats of false backs')], [new Hardware('magnet catch', $area > self::LARGE ? 6 : 4, 'false backs', ArticleKind::Magnet)]);
    }
}
