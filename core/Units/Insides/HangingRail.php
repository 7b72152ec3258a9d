<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
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
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Fixture;
use Incastro\Units\Hang;
use Incastro\Units\Hardware;
use Incastro\Units\InsideUnit;
use Incastro\Units\Sites\OpeningSite;

/** A rail from side to side for clothes on hangers, or two over each other: cut from a length, in sockets. */
#[About('hanging-rail', 'Hanging rail', 'A rail for clothes, or two over each other.', 'Storage', isCommon: true)]
final readonly class HangingRail implements InsideUnit
{
    /** A longer one has a support in its middle, mm. */
    private const UNSUPPORTED = 1000.0;

    public function __construct(
        #[Choice('For', Hang::Short)] public Hang $hang,
        #[Size('Its middle under what is above', ['60', '2 3/8'], 45, 120)] public Length $hook,
        #[Size('Thickness of the rail', ['25', '1'], 16, 40)] public Length $diameter,
    ) {
    }

    /** What hangs needs under the middle of its rail; of two, under the lower one. */
    private static function clear(Hang $hang, Unit $unit): Length
    {
        return $unit === Unit::Inch ? Length::ofDouble(($hang === Hang::Long ? 64 : 40) * 25.4) : Length::ofMillimetres($hang === Hang::Long ? 1600 : 1000);
    }

    /** From the middle of the lower of two rails to that of the upper one. */
    private static function pitch(Unit $unit): Length
    {
        return $unit === Unit::Inch ? Length::ofDouble(41 * 25.4) : Length::ofMillimetres(1040);
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        $high = $this->hook->plus(self::clear($this->hang, $rules->unit));
        $inch = $rules->unit === Unit::Inch;

        return new OpeningDemand(
            Extent::atLeast($inch ? Length::ofDouble(8 * 25.4) : Length::ofMillimetres(200), 'fewer hangers than fit in %s are not worth a rail'),
            Extent::atLeast($this->hang === Hang::Double ? $high->plus(self::pitch($rules->unit)) : $high, 'what hangs needs %s'),
            Extent::atLeast($inch ? Length::ofDouble(19 * 25.4) : Length::ofMillimetres(480), 'hangers need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        $unit = $terms->rules->unit;
        $length = $site->width()->minusTimes('floor of a socket at each end', 2, $unit === Unit::Inch ? Length::ofNanometres(3_175_000) : Length::ofMillimetres(3))->roundedDown($terms->format);
        $upper = $site->height()->minus('its middle under what is above', $this->hook);
        $middles = $this->hang === Hang::Double ? [$upper, $upper->minus('from rail to rail', self::pitch($unit))] : [$upper];
        $findings = $this->findings($site, $middles[count($middles) - 1]);
        $y = $this->out($site);
        $half = $this->diameter->toDouble() / 2;
        $socket = ($site->width()->result->toDouble() - $length->result->toDouble()) / 2;
        $fixtures = $decisions = $hardware = [];
        foreach ($middles as $i => $middle) {
            $at = $middle->result->toDouble();
            if ($at < $half || $length->result->toDouble() < 2 * $half) {
                continue;
            }
            $fixtures[] = new Fixture('Rail', $site->opening->tierId, $site->block($socket, $socket + $length->result->toDouble(), $y - $half, $y + $half, $at - $half, $at + $half));
            $which = count($middles) === 1 ? 'rail' : ['upper rail', 'lower rail'][$i];
            $decisions[ucfirst($which).', '.$site->name()] = $length;
            $decisions['Middle of the '.$which.' over the board below, '.$site->name()] = $middle;
            array_push($hardware, ...$this->hardware($site, $length));
        }
        $decisions['Middle of the rail before the back, '.$site->name()] = Working::start('half of the depth, and no less than a hanger needs', Length::ofDouble($y));

        return new Assembly([], [], $hardware, $fixtures === [] ? [] : $decisions, $findings, [], $fixtures);
    }

    /** How far its middle stands before the back, mm: half of what is free, and never nearer than half a hanger. */
    private function out(OpeningSite $site): float
    {
        $taken = $site->taken()->toDouble();

        return $taken + max($this->free($site) / 2, $site->terms->rule(Rule::HangerDepth));
    }

    /** Depth that is free behind the face or what closes it, mm. */
    private function free(OpeningSite $site): float
    {
        return $site->face() - $site->taken()->toDouble() - ($site->opening->front === null ? 0.0 : $site->terms->materials->for(Purpose::Front)->thickness->toDouble());
    }

    /** @return list<Hardware> */
    private function hardware(OpeningSite $site, Working $length): array
    {
        $supports = max(0, (int) ceil($site->width()->result->toDouble() / self::UNSUPPORTED) - 1);
        $format = $site->terms->format;

        return [
            new Hardware(sprintf('rail Ø %s, cut to %s', $format->write($this->diameter), $format->write($length->result)), 1, 'hanging rails', ArticleKind::Rail, $length->result),
            new Hardware('rail socket', 2, 'hanging rails', ArticleKind::RailSocket),
            ...($supports > 0 ? [new Hardware('rail support', $supports, 'hanging rails', ArticleKind::RailSupport)] : []),
        ];
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, Working $lowest): array
    {
        $terms = $site->terms;
        $tier = $site->opening->tierId;
        $findings = [];
        $clear = self::clear($this->hang, $terms->rules->unit);
        if ($lowest->result->isLessThan($clear)) {
            $high = $site->opening->height->result->plus($clear)->minus($lowest->result)->roundedUp($terms->format->step);
            $ways = [new WayOut(sprintf('Make the tier %s higher', $terms->format->write($clear->minus($lowest->result)->roundedUp($terms->format->step))), Edits::tier($tier)->measuring('size', $site->box->hasOneCell() ? $high->plus($terms->materials->carcass->thickness->times(2)) : $high))];
            $ways = $this->hang === Hang::Short ? $ways : [...$ways, new WayOut('One rail for shirts and jackets', Edits::tier($tier)->setting(['hang' => Hang::Short->value]))];
            $findings[] = Finding::clash(Code::RailLow, sprintf('There are %s under the middle of the rail; what hangs needs %s.', $terms->write(max(0.0, $lowest->result->toDouble())), $terms->format->write($clear)), $tier)->withWaysOut([...$ways, $site->emptied()]);
        }
        $inch = $terms->rules->unit === Unit::Inch;
        $needs = $site->opening->front === null ? ($inch ? 482.6 : 480.0) : ($inch ? 539.75 : 540.0);
        if ($this->free($site) < $needs) {
            $findings[] = Finding::warning(Code::ClothesTouch, sprintf('Hangers need %s; there are %s.', $terms->write($needs), $terms->write($this->free($site))), $tier)->withWaysOut([$site->deeper(Length::ofDouble($needs - $this->free($site)))]);
        }

        return $findings;
    }
}
