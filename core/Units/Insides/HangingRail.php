<?php

declare(strict_types=1);

namespace Incastro\Units\Insides;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Measure\Length;
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
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Fixture;
use Incastro\Units\Hang;
use Incastro\Units\Hardware;
use Incastro\Units\InsideUnit;
use Incastro\Units\RailWay;
use Incastro\Units\Sites\OpeningSite;

/** A rail from side to side for clothes on hangers, or two over each other: cut from a length, in sockets. */
#[About('hanging-rail', 'Hanging rail', 'A rail for clothes, or two over each other.', 'Storage', isCommon: true)]
final readonly class HangingRail implements InsideUnit
{
    /** Of one from back to front: clear at both ends, mm and inches. */
    private const ENDS = [10.0, 3 / 8];

    /** A longer one has a support in its middle, mm. */
    private const UNSUPPORTED = 1000.0;

    public function __construct(
        #[Choice('For', Hang::Short)] public Hang $hang,
        #[Size('Its middle under what is above', ['60', '2 3/8'], 45, 120)] public Length $hook,
        #[Size('Thickness of the rail', ['25', '1'], 16, 40)] public Length $diameter,
        #[Choice('Runs', RailWay::Across)] public RailWay $direction = RailWay::Across,
        #[Size('Clear under it', null, 700, 1900)] public ?Length $clear = null,
        #[Size('From the lower rail to the upper', null, 950, 1200)]
        #[When('hang', Hang::Double)]
        public ?Length $pitch = null,
    ) {
    }

    /** What hangs needs under the middle of its rail; of two, under the lower one. */
    private function under(HouseRules $rules): Length
    {
        return $this->clear ?? ($this->hang === Hang::Long ? $rules->either(1600, 64) : $rules->either(1000, 40));
    }

    /** From the middle of the lower of two rails to that of the upper one. */
    private function apart(HouseRules $rules): Length
    {
        return $this->pitch ?? $rules->either(1040, 41);
    }

    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand
    {
        $high = $this->hook->plus($this->under($rules));
        $isDeep = $this->direction === RailWay::Deep;

        return new OpeningDemand(
            $isDeep ? Extent::atLeast($rules->either(480, 19), 'hangers that face the door need %s') : Extent::atLeast($rules->either(200, 8), 'fewer hangers than fit in %s are not worth a rail'),
            Extent::atLeast($this->hang === Hang::Double ? $high->plus($this->apart($rules)) : $high, 'what hangs needs %s'),
            $isDeep ? Extent::atLeast($rules->either(250, 10), 'a rail from back to front needs %s') : Extent::atLeast($rules->either(480, 19), 'hangers need %s'),
        );
    }

    public function cleared(string $tier): ?WayOut
    {
        return null;
    }

    public function build(OpeningSite $site): Assembly
    {
        $terms = $site->terms;
        $isDeep = $this->direction === RailWay::Deep;
        $length = ($isDeep
            ? Working::start('free from the back to what closes it', Length::ofDouble(($site->opening->front === null ? $site->face() : $site->front()) - $this->behind($site)))->minusTimes('clear at each end', 2, $terms->rules->either(...self::ENDS))
            : $site->width()->minusTimes('floor of a socket at each end', 2, $terms->rules->either(3, 1 / 8)))->roundedDown($terms->format);
        $upper = $site->height()->minus('its middle under what is above', $this->hook);
        $middles = $this->hang === Hang::Double ? [$upper, $upper->minus('from rail to rail', $this->apart($terms->rules))] : [$upper];
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
            $long = $length->result->toDouble();
            $middleX = $site->width()->result->toDouble() / 2;
            $start = $this->behind($site) + $terms->rules->either(...self::ENDS)->toDouble();
            $fixtures[] = new Fixture('Rail', $site->opening->tierId, $isDeep
                ? $site->block($middleX - $half, $middleX + $half, $start, $start + $long, $at - $half, $at + $half)
                : $site->block($socket, $socket + $long, $y - $half, $y + $half, $at - $half, $at + $half));
            $which = count($middles) === 1 ? 'rail' : ['upper rail', 'lower rail'][$i];
            $decisions[ucfirst($which).', '.$site->name()] = $length;
            $decisions['Middle of the '.$which.' over the board below, '.$site->name()] = $middle;
            array_push($hardware, ...$this->hardware($site, $length));
        }
        if ($isDeep) {
            return new Assembly([], [], $hardware, $decisions, $findings, [], $fixtures);
        }
        $decisions['Middle of the rail before the back, '.$site->name()] = Working::start('half of the depth, and no less than a hanger needs', Length::ofDouble($y));

        return new Assembly([], [], $hardware, $fixtures === [] ? [] : $decisions, $findings, [], $fixtures);
    }

    /** Where one from back to front may begin: before the strip at the head of the back; y, mm. */
    private function behind(OpeningSite $site): float
    {
        return $site->nailerBetween(0.0, $site->height()->result->toDouble());
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
        $isDeep = $this->direction === RailWay::Deep;
        // From back to front it hangs under the board above.
        $supports = $isDeep ? 2 : max(0, (int) ceil($site->width()->result->toDouble() / self::UNSUPPORTED) - 1);
        $format = $site->terms->format;

        return [
            new Hardware(sprintf('rail Ø %s, cut to %s', $format->write($this->diameter), $format->write($length->result)), 1, 'hanging rails', ArticleKind::Rail, $length->result),
            ...($isDeep ? [] : [new Hardware('rail socket', 2, 'hanging rails', ArticleKind::RailSocket)]),
            ...($supports > 0 ? [new Hardware('rail support', $supports, 'hanging rails', ArticleKind::RailSupport)] : []),
        ];
    }

    /** @return list<Finding> */
    private function findings(OpeningSite $site, Working $lowest): array
    {
        $terms = $site->terms;
        $tier = $site->opening->tierId;
        $findings = [];
        $clear = $this->under($terms->rules);
        if ($lowest->result->isLessThan($clear)) {
            $high = $site->opening->height->result->plus($clear)->minus($lowest->result)->roundedUp($terms->format->step);
            $ways = [new WayOut(sprintf('Make the tier %s higher', $terms->format->write($clear->minus($lowest->result)->roundedUp($terms->format->step))), Edits::tier($tier)->measuring('size', $site->box->hasOneCell() ? $high->plus($terms->materials->carcass->thickness->times(2)) : $high))];
            $ways = $this->hang === Hang::Short ? $ways : [...$ways, new WayOut('One rail for shirts and jackets', Edits::tier($tier)->setting(['hang' => Hang::Short->value]))];
            $findings[] = Finding::clash(Code::RailLow, sprintf('There are %s under the middle of the rail; what hangs needs %s.', $terms->write(max(0.0, $lowest->result->toDouble())), $terms->format->write($clear)), $tier)->withWaysOut([...$ways, $site->emptied()]);
        }
        $needs = ($site->opening->front === null ? $terms->rules->either(480, 19) : $terms->rules->either(540, 21.25))->toDouble();
        if ($this->direction === RailWay::Across && $this->free($site) < $needs) {
            $findings[] = Finding::warning(Code::ClothesTouch, sprintf('Hangers need %s; there are %s.', $terms->write($needs), $terms->write($this->free($site))), $tier)->withWaysOut([$site->deeper(Length::ofDouble($needs - $this->free($site))), new WayOut('Run the rail from back to front', Edits::tier($tier)->setting(['direction' => RailWay::Deep->value]))]);
        }

        return $findings;
    }
}
