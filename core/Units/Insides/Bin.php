<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Contents;
use Incastro\Units\InsideUnit;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Sites\OpeningSite;

/** Loose boxes side by side that are drawn out by hand: toys, recycling, laundry. Behind a face frame strips lift them over its lower rail. */
#[About('bin', 'Loose bins', 'Boxes that are drawn out by hand.', 'Storage')]
final readonly class Bin implements InsideUnit
{
    /** Heavier than this a full bin is a burden, kg. */
    private const HEAVY = 20.0;

    private const LEAST = 100.0;

    public function __construct(
        #[Count('Side by side', 1, 1, 4)] public int $count,
        #[Size('Height', ['300', '12'], 80, 600)] public Length $height,
        #[Choice('Filled with', Contents::Toys)] public Contents $use,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        [$frame, $rails] = FaceFrame::takes($rules, $materials);

        return new OpeningDemand(
            Extent::atLeast(Length::ofMillimetres(150)->times($this->count)->plus($frame), 'bins side by side need %s'),
            Extent::atLeast($this->height->plus(self::air($rules))->plus($rails), 'a bin and hands over it need %s'),
            Extent::atLeast(Length::ofMillimetres(150), 'a bin needs %s'),
        );
    }

    private static function air(HouseRules $rules): Length
    {
        return $rules->either(25, 1);
    }

    private static function play(HouseRules $rules): Length
    {
        return $rules->either(3, 1 / 8);
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        $rules = $terms->rules;
        [$left, , $foot] = $site->frame();
        $width = $site->between()->minusTimes('play beside each', $this->count + 1, self::play($rules))->dividedBy('bins', $this->count)->roundedDown($terms->format);
        $free = $rules->either(20, 3 / 4);
        $depth = $site->inside($foot + $this->height->toDouble())->minus('behind the front', $free)->roundedDown($terms->format);
        $behind = $site->nailerBetween($foot, $foot + $this->height->toDouble());
        // It stands before a nailer, and its front as far back as it may.
        $depth = $behind > $free->toDouble() ? $depth->minus('a nailer behind', Length::ofDouble($behind - $free->toDouble()))->roundedDown($terms->format) : $depth;
        $clear = min(array_map($site->upper(...), [0.0, $site->width()->result->toDouble()])) - $foot;
        if ($this->height->toDouble() + self::air($rules)->toDouble() > $clear + 1e-6 || min($width->result->toDouble(), $depth->result->toDouble()) < self::LEAST) {
            return new Assembly([], findings: [$this->tooSmall($site, $clear, min($width->result->toDouble(), $depth->result->toDouble()))]);
        }
        $wide = $width->result->toDouble();
        $gap = ($site->between()->result->toDouble() - $this->count * $wide) / ($this->count + 1);
        $built = [];
        for ($i = 0; $i < $this->count; $i++) {
            $x = $left + $gap + $i * ($wide + $gap);
            $y = $site->front() - $depth->result->toDouble();
            $body = (new DrawerBox($site, 'bin-'.($i + 1), $width, Working::start('height of a bin', $this->height), $depth))->build($x, $y, max(0.0, $foot));
            $built[] = $body->built;
            $built[] = $this->moved($site, $i, $body, $x, $y, max(0.0, $foot), $wide);
            $built[] = $this->runners($site, $i, $x, $wide, $foot, $depth, $y);
        }

        return Assembly::all(...[...$built, new Assembly([], findings: $this->heavy($site, $wide, $depth->result->toDouble()))]);
    }

    private function moved(OpeningSite $site, int $i, DrawerBody $body, float $x, float $y, float $z, float $wide): Assembly
    {
        $swept = $site->block($x, $x + $wide, $y, $y + 2 * $body->deep, $z, $z + $body->high);
        $keys = $body->keys();
        assert($keys !== []);

        return new Assembly([], movements: [new Movement(sprintf('Bin %d of %s', $i + 1, $site->name()), $site->opening->tierId, $keys, [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Out->vector(), $body->deep), $body->deep)]);
    }

    /** Strips on edge that lift a bin over the lower rail. */
    private function runners(OpeningSite $site, int $i, float $x, float $wide, float $foot, Working $depth, float $y): Assembly
    {
        if ($foot < 1.0) {
            return new Assembly([]);
        }
        $t = $site->terms->board();
        $high = Working::start('what the frame stands over the board', Length::ofDouble($foot));
        $long = $depth->minus('clear of the frame', Length::ofMillimetres(3));
        $placed = [];
        foreach (['L' => $x + 20.0, 'R' => $x + $wide - 20.0 - $t] as $hand => $at) {
            $role = 'bin-runner-'.($i + 1)."-$hand";
            $piece = $site->make->moving($role, 'Runner', $long, $high, Purpose::Carcass, Grain::Length, [], ['screwed down, its upper edge waxed'], $site->mark($role));
            $placed[] = $site->placed($piece, $at, $y, $foot - $piece->width->result->toDouble(), Way::Out, Way::Up, Way::Right, Part::Cleat);
        }

        return new Assembly($placed);
    }

    /** @return list<Finding> */
    private function heavy(OpeningSite $site, float $wide, float $deep): array
    {
        $full = $this->use->density() * $wide * $deep * $this->height->toDouble() / 1e9;

        return $full <= self::HEAVY ? [] : [
            Finding::warning(Code::BinHeavy, sprintf('A bin full of %s weighs about %.0f kg.', lcfirst($this->use->label()), $full), $site->opening->tierId)
                ->withWaysOut($this->count < 4 ? [new WayOut(sprintf('Make it %d side by side', $this->count + 1), Edits::tier($site->opening->tierId)->setting(['count' => $this->count + 1]))] : []),
        ];
    }

    private function tooSmall(OpeningSite $site, float $clear, float $least): Finding
    {
        $most = Length::ofDouble(max(0.0, $clear))->minus(self::air($site->terms->rules))->roundedDown($site->terms->format->step);
        $ways = $most->toDouble() >= 80.0 && $most->isLessThan($this->height) ? [new WayOut(sprintf('Make them %s high', $site->terms->format->write($most)), Edits::tier($site->opening->tierId)->measuring('with.height', $most))] : [];

        return Finding::clash(Code::TooSmall, sprintf('Between its frame there are %s of height, and a bin would be %s at its narrowest.', $site->terms->write(max(0.0, $clear)), $site->terms->write(max(0.0, $least))), $site->opening->tierId)->withWaysOut([...$ways, $site->emptied()]);
    }
}
