<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Survey\Space\SpaceKind;

/** Adds up what came of many made-up rooms. */
final class TrialReport
{
    private const WORST = 10;

    private int $rooms = 0;

    private int $fit = 0;

    private int $boxes = 0;

    private int $padded = 0;

    private int $edges = 0;

    private int $covered = 0;

    private int $takes = 0;

    /** @var list<float> */
    private array $template = [];

    /** @var list<float> */
    private array $byRule = [];

    /** @var list<float> */
    private array $inPlace = [];

    /** @var list<float> */
    private array $slack = [];

    private int $pieces = 0;

    private int $overlaps = 0;

    private int $refused = 0;

    private int $shelves = 0;

    private int $tipped = 0;

    private int $saidTipped = 0;

    /** @var list<float> */
    private array $shelfSlack = [];

    /** @var array<string, true> of the rooms */
    private array $grades = [];

    private int $asked = 0;

    private int $struckHonest = 0;

    private int $scribed = 0;

    private int $withinSaid = 0;

    /** @var array{spans: list<bool>, heights: list<bool>} whether each claim was true */
    private array $claims = ['spans' => [], 'heights' => []];

    /** @var array{made: int, named: int, missed: int, false: int} */
    private array $slips = ['made' => 0, 'named' => 0, 'missed' => 0, 'false' => 0];

    /** @var list<array{seed: int, why: string, badness: float}> */
    private array $worst = [];

    public function __construct(private readonly SpaceKind $kind, private readonly int $seed)
    {
    }

    public function add(RoomResult $room): void
    {
        $judge = $room->judge;
        $this->rooms++;
        $this->grades[$room->room->grade->value] = true;
        $this->asked += $room->isAskedForNothing() ? 1 : 0;
        $this->struckHonest += $room->strikesHonest() ? 1 : 0;
        if ($room->isRefused) {
            $this->refused++;

            return;
        }
        $this->pieces += $room->pieces->pieces ?? 0;
        $this->overlaps += $room->pieces->overlaps ?? 0;
        $this->fit += $room->fits() ? 1 : 0;
        $this->boxes += $judge->boxes;
        $this->padded += $judge->padded;
        $this->edges += $judge->edges;
        $this->covered += $judge->covered;
        $this->takes += count($room->person->takes);
        $this->scribed += $judge->scribed;
        $this->withinSaid += $judge->withinSaid;
        $claims = new Claims($room->room);
        foreach ($room->plan->layout->runs ?? [] as $run) {
            $span = $claims->isSpanTrue($run);
            $this->claims['spans'] = $span === null ? $this->claims['spans'] : [...$this->claims['spans'], $span];
            $this->claims['heights'][] = $claims->isHeightTrue($run);
        }
        array_push($this->template, ...$judge->templateGaps);
        array_push($this->byRule, ...$judge->ruleGaps);
        array_push($this->inPlace, ...$judge->inPlaceGaps);
        array_push($this->slack, ...$judge->slack);
        $this->shelves += $room->shelves->shelves;
        $this->tipped += $room->shelves->tipped;
        $this->saidTipped += $room->shelves->saidTipped;
        array_push($this->shelfSlack, ...$room->shelves->slack);
        foreach ($room->slips() as $name => $count) {
            $this->slips[$name] += $count;
        }
        $gap = max([0.0, ...$judge->templateGaps]);
        $why = $room->fits() ? sprintf('a template leaves %.1f open', $gap) : implode('; ', $room->jams());
        $this->worst[] = ['seed' => $room->seed, 'why' => $why, 'badness' => $gap + ($room->fits() ? 0.0 : 1e6)];
        usort($this->worst, fn (array $a, array $b) => $b['badness'] <=> $a['badness']);
        $this->worst = array_slice($this->worst, 0, self::WORST);
    }

    /** @return array<string, mixed> */
    public function toArray(float $seconds): array
    {
        $share = fn (int $part, int $all): float => $all === 0 ? 0.0 : round($part / $all, 4);

        return [
            'kind' => $this->kind->value, 'rooms' => $this->rooms, 'seed' => $this->seed, 'seconds' => round($seconds, 1),
            'first_time_fit' => $share($this->fit, $this->rooms - $this->refused),
            'template_gap_mm' => self::spread($this->template),
            'rule_gap_mm' => self::spread($this->byRule),
            'in_place_gap_mm' => self::spread($this->inPlace),
            'gaps_covered' => $share($this->covered, $this->edges), 'padded' => $share($this->padded, $this->boxes),
            'pieces_put_in' => $this->pieces, 'overlaps' => $this->overlaps, 'refused' => $share($this->refused, $this->rooms),
            'slack_mm' => self::spread($this->slack),
            'shelves' => ['put_in' => $this->shelves, 'tipped' => $this->tipped, 'said_tipped' => $this->saidTipped, 'slack_mm' => self::spread($this->shelfSlack)],
            'readings' => $this->rooms === $this->refused ? 0.0 : round($this->takes / ($this->rooms - $this->refused), 1),
            'grade' => implode(' and ', array_keys($this->grades)), 'asked' => $share($this->asked, $this->rooms), 'struck_honest' => $share($this->struckHonest, $this->rooms),
            'span_claim' => $share(count(array_filter($this->claims['spans'])), count($this->claims['spans'])),
            'height_claim' => $share(count(array_filter($this->claims['heights'])), count($this->claims['heights'])),
            'within_said' => $share($this->withinSaid, $this->scribed),
            'slips' => $this->slips,
            'worst_rooms' => array_map(fn (array $room) => ['seed' => $room['seed'], 'why' => $room['why']], $this->worst),
        ];
    }

    /**
     * @param  list<float>  $values
     * @return array{median: float, p95: float, worst: float}
     */
    private static function spread(array $values): array
    {
        sort($values);
        $at = fn (float $share): float => $values === [] ? 0.0 : round($values[(int) floor($share * (count($values) - 1))], 3);

        return ['median' => $at(0.5), 'p95' => $at(0.95), 'worst' => $at(1.0)];
    }
}
