<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hardware;
use Incastro\Units\Make\FlapSwing;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Pull;
use Incastro\Units\Sites\OpeningSite;

/** One leaf hinged along its upper edge, held open by stays: for boxes over a worktop. */
#[About('lift-up', 'Lift-up flap', 'Swings up out of the way and stays there.', 'Doors')]
final readonly class LiftUp implements FrontUnit
{
    /** Forces that gas stays are sold with, N; and the most that one may need. */
    private const STAYS = [50, 60, 80, 100, 120, 150, 200];

    /** A narrower flap needs one stay, a wider one two; one wider than that a third hinge; mm. */
    private const ONE_STAY = 400.0;

    private const TWO_HINGES = 900.0;

    /** Its lower edge is out of reach when it is open over this, mm. */
    private const REACH = 2000.0;

    /** Free fall, m/s². */
    private const G = 9.81;

    public function __construct(
        #[Choice('Closes', Mount::Overlay, without: [Mount::Lipped])] public Mount $mount,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Choice('Built as', LeafBuild::Slab)] public LeafBuild $build,
        #[Size('Lever of its stays', ['45', '1 3/4'], 25, 80, 'From the hinge to where a stay holds, by its sheet.')] public Length $arm,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $isInset = $this->mount === Mount::Inset;

        return new FrontDemand(
            Extent::between(Length::ofMillimetres(200), Length::ofMillimetres(1200), 'a flap needs %s'),
            Extent::between(Length::ofMillimetres(150), Length::ofMillimetres(600), 'a flap needs %s'),
            $isInset ? $materials->for(Purpose::Front)->thickness->plus($rules->get(Rule::BehindFront)) : Length::zero(),
        );
    }

    public function build(OpeningSite $site): Assembly
    {
        $maker = new Leaf($site, $this->mount, $this->build);
        $width = $maker->width(1);
        $x = $maker->starts(1, $width)[0];
        $least = $maker->least();
        if ($width->result->toDouble() < $least || $maker->lowest($x, $width->result->toDouble()) < $least) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('There is no room for a flap here; %s is the least that is made.', $site->terms->write($least)), $site->opening->tierId)->withWaysOut($this->away($site))]);
        }
        $made = $maker->made('lift-up', 'Flap', $width, $x, ['hinged along its upper edge']);
        $high = min($made->heights);
        if (abs($made->heights[0] - $made->heights[1]) > 1e-6) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, 'A flap is hinged along a level edge; under a slope a door closes the opening.', $site->opening->tierId)->withWaysOut($this->away($site))]);
        }
        $thick = $site->terms->materials->for(Purpose::Front)->thickness->toDouble() + ($this->mount === Mount::Inset ? 0.0 : $site->edges()->bump());
        $movement = (new FlapSwing($site, 'Flap of '.$site->name(), $this->away($site)))->up($made->keys(), $x, $maker->foot() + $high, $made->wide(), $high, $thick);
        $stays = $made->wide() < self::ONE_STAY ? 1 : 2;
        $force = $made->weight() * self::G * $high / (2 * $stays * $this->arm->toDouble());
        $rated = array_values(array_filter(self::STAYS, fn (int $newton) => $newton >= $force - 1e-9))[0] ?? null;
        $hardware = [
            new Hardware($this->mount === Mount::Inset ? 'concealed hinge for an inset leaf' : 'concealed hinge for a leaf over its board', $made->wide() > self::TWO_HINGES ? 3 : 2, 'flaps', ArticleKind::Hinge),
            new Hardware(sprintf('gas stay %d N', $rated ?? 200), $stays, 'flaps', ArticleKind::GasStay),
            ...$this->pull->bought(1, 'flaps'),
        ];

        return Assembly::all($made->assembly, new Assembly([], [], $hardware, [], $this->findings($site, $made, $force, $rated, $maker->foot() + $high), [$movement]));
    }

    /** @return list<WayOut> */
    private function away(OpeningSite $site): array
    {
        return $site->unclosed('Take the flap away');
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, MadeLeaf $made, float $force, ?int $rated, float $hinge): array
    {
        $findings = [];
        $front = $site->opening->front;
        if ($rated === null) {
            $framed = $this->build->isFramed() || $front === null ? [] : [new WayOut('Make it with a frame and a panel', Edits::front($front->id)->setting(['build' => LeafBuild::Grooved->value]))];
            $findings[] = Finding::clash(Code::FlapHeavy, sprintf('Each stay of this flap would have to hold %.0f N; the strongest holds 200. Make it lower, or lighter.', $force), $site->opening->tierId)->withWaysOut([...$framed, ...$this->away($site)]);
        }
        // Open, its free edge is as high as its hinge line.
        $up = $site->at(0.0, 0.0, $hinge)->z;
        if ($up > self::REACH) {
            $findings[] = Finding::warning(Code::FlapHigh, sprintf('Open, the pull of this flap is %s over the floor: out of reach for many.', $site->terms->write($up)), $site->opening->tierId)->withWaysOut($this->away($site));
        }

        return $findings;
    }
}
