<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\PlannedSheet;
use Incastro\Cut\SawSetup;
use Incastro\Measure\LengthFormat;

/** From sheets laid out to cuts in the order in which they are made, with the tools that are owned. */
final readonly class SawPlanner
{
    /** Cuts that are put in order anew, all in all, for other ways of cutting parts: a tenth of a second of looking in a job of sixty pieces. */
    private const TRIED = 8_000;

    /**
     * @param  \Closure(string): float  $density  of a material by its id, kg/m³
     * @param  string  $letter  before the number of each sheet in its mark
     * @param  string  $plan  what tells the strips of this plan from those of an earlier one
     */
    public function __construct(private SawSetup $saw, private Tools $tools, private LengthFormat $format, private \Closure $density, private string $letter = 'S', private string $plan = '')
    {
    }

    /**
     * @param  list<PlannedSheet>  $sheets
     * @param  int  $window  sheets that may be open at once
     *
     * @throws NotSawable
     */
    public function steps(array $sheets, int $window = PHP_INT_MAX, bool $isSideBySide = true): SawSteps
    {
        $kerf = $this->saw->kerf->nanometres();
        $slices = array_map(fn (PlannedSheet $sheet) => Slice::of($sheet->pieces === [] ? throw new \LogicException('A planned sheet has pieces.') : $sheet->pieces, $kerf), $sheets);
        [$forest, $slices] = $this->handiest($sheets, $slices, $window);
        $forest = $this->withYard($sheets, $slices) ?? $forest;
        $order = new SettingOrder($forest->cuts(), $window);
        $best = $order->fewest();
        $allOpen = $window >= count($sheets) ? count($best->settings) : min(count($best->settings), count((new SettingOrder($forest->cuts(), PHP_INT_MAX))->greedy()->settings));
        $played = new Played($forest, $this->tools, $isSideBySide);
        $steps = $played->steps($order->made($best));

        return new SawSteps($played->parts(), $steps, count($best->settings), $order->distinct(), $best->fewest, $best->isProven, (new Refusals($forest, $this->tools, $this->format))->of($best), $allOpen, max([0.0, ...array_map(fn (Part $part) => $part->kg, $forest->carried())]));
    }

    /**
     * Parts that may be cut otherwise are, where that saves cuts that no tool makes, settings or changes of tool.
     *
     * @param  list<PlannedSheet>  $sheets
     * @param  list<Slice>  $slices
     * @return array{Forest, list<Slice>}
     */
    private function handiest(array $sheets, array $slices, int $window): array
    {
        $forest = $this->forest($sheets, $slices);
        $least = $this->cost($forest, $window);
        $tried = 0;
        foreach ($slices as $i => $slice) {
            $places = $slice->changeable();
            while (($place = array_shift($places)) !== null && ($tried += count($forest->cuts())) < self::TRIED) {
                $other = [...$slices];
                $other[$i] = $slices[$i]->changedAt($place);
                $new = $this->forest($sheets, array_values($other));
                $cost = $this->cost($new, $window);
                if ($cost < $least) {
                    [$forest, $least, $slices] = [$new, $cost, array_values($other)];
                    // What lies within was changed with it: what may be changed there is asked anew.
                    $places = $slices[$i]->changeable();
                }
            }
        }

        return [$forest, $slices];
    }

    /**
     * The same with what the yard cuts cut there, where there is one.
     *
     * @param  list<PlannedSheet>  $sheets
     * @param  list<Slice>  $slices
     */
    private function withYard(array $sheets, array $slices): ?Forest
    {
        if ($this->tools->yard === null) {
            return null;
        }
        $yard = new YardPlanner($this->tools->yard, $this->saw, $this->tools, $this->density);

        return $this->forest($sheets, $slices, array_map($yard->cuts(...), $sheets, $slices));
    }

    /**
     * @param  list<PlannedSheet>  $sheets
     * @param  list<Slice>  $slices
     * @param  array<int, YardCuts>  $yard
     */
    private function forest(array $sheets, array $slices, array $yard = []): Forest
    {
        return new Forest($sheets, $slices, $this->saw, $this->tools, $this->density, $this->letter, $this->plan, $yard);
    }

    /** @return array{int, int, int} cuts that no tool makes, settings, changes of tool */
    private function cost(Forest $forest, int $window): array
    {
        $order = (new SettingOrder($forest->cuts(), $window))->greedy();
        $changes = 0;
        foreach ($order->settings as $i => $setting) {
            $changes += $i > 0 && explode('|', $setting)[0] !== explode('|', $order->settings[$i - 1])[0] ? 1 : 0;
        }

        return [substr_count($order->done, '0'), count($order->settings), $changes];
    }
}
