<?php

declare(strict_types=1);

namespace Incastro\Saw;

/**
 * In which order settings are made, so that there are as few as can be. A cut that can be made never makes another impossible, so once
 * a setting stands all its cuts are made that are or become possible, and only the order of settings is open: a shortest common
 * supersequence over the trees of the sheets. A setting whose cuts can all be made now may always come next.
 */
final class SettingOrder
{
    /** Cuts of all states that are kept beside each other where the search does not end: of a job of 60 cuts 60 states. */
    private const BEAM = 3600;

    /** So many looks at a cut the search takes at most, and the beam again as many: some half a second together. */
    private const LOOKS = 1_500_000;

    /** Of more cuts the search comes to no end: all looks go to the beam. */
    private const MANY = 300;

    /** A cut that no tool makes, or that waits for such a one. */
    private const NEVER = 'x';

    private int $looks = 0;

    /** @var array<string, array<int, list<int>>> cuts by setting and sheet */
    private array $bySetting = [];

    /** @var array<int, list<int>> cuts that need no setting, by sheet */
    private array $free = [];

    /** @var array<int, int> the first cut of the next sheet, by sheet: those of one sheet are beside each other */
    private array $ends = [];

    /** @var list<string> by cut; empty where none is made */
    private array $settings = [];

    private readonly string $nothing;

    /**
     * @param  list<PlannedCut>  $cuts
     * @param  int  $window  sheets that may be open at once
     */
    public function __construct(private readonly array $cuts, private readonly int $window)
    {
        $never = [];
        foreach ($cuts as $c => $cut) {
            $never[$c] = $cut->way === null || array_filter($cut->needs, fn (int $need) => $never[$need]) !== [];
            $this->ends[$cut->sheet] = $c + 1;
            $this->settings[] = $cut->setting() ?? '';
            if ($cut->setting() !== null) {
                $this->bySetting[$cut->setting()][$cut->sheet][] = $c;
            } elseif ($cut->way !== null) {
                $this->free[$cut->sheet][] = $c;
            }
        }
        $this->nothing = implode('', array_map(fn (bool $is) => $is ? self::NEVER : '0', $never));
    }

    /** How many different settings there are: no order has fewer. */
    public function distinct(): int
    {
        return count($this->bySetting);
    }

    /** One setting after another, the handiest among those that clear themselves, else the one that leaves least behind. */
    public function greedy(): Order
    {
        return $this->greedyFrom($this->opened($this->nothing), []);
    }

    /** @param list<string> $settings */
    private function greedyFrom(string $done, array $settings): Order
    {
        while (($next = $this->handiest($done, end($settings) ?: null)) !== null) {
            $settings[] = $next[0];
            $done = $this->after($done, $next[0]);
        }

        return new Order($settings, $done, $this->distinct(), false);
    }

    /** The fewest settings, as far as the search comes; where it does not end, the best that is found and what is excluded. */
    public function fewest(): Order
    {
        $greedy = $this->greedy();
        if (count($greedy->settings) <= $this->distinct()) {
            return $greedy->proven();
        }
        $this->looks = 0;
        [$found, $bound] = $this->searched($greedy);
        $best = $found ?? $this->beam($greedy);

        return new Order($best->settings, $best->done, min($bound, count($best->settings)), $bound >= count($best->settings));
    }

    /**
     * A* over sequences of settings: what is still needed at least is the number of different settings left.
     *
     * @return array{?Order, int} an order that is the shortest, and what none is shorter than
     */
    private function searched(Order $greedy): array
    {
        $queue = new \SplPriorityQueue();
        $queue->insert([$this->opened($this->nothing), []], 0);
        $seen = [];
        $bound = $this->distinct();
        while (! $queue->isEmpty()) {
            [$done, $settings] = $queue->extract();
            [$done, $settings] = $this->forced($done, $settings);
            $left = $this->left($done);
            $bound = max($bound, count($settings) + count($left));
            if ($left === []) {
                return [new Order($settings, $done, count($settings), true), count($settings)];
            }
            if (count($settings) + count($left) >= count($greedy->settings)) {
                return [$greedy->proven(), count($greedy->settings)];
            }
            if (($seen[$done] ?? PHP_INT_MAX) <= count($settings)) {
                continue;
            }
            $seen[$done] = count($settings);
            if ($this->looks > (count($this->cuts) > self::MANY ? 0 : self::LOOKS)) {
                return [null, $bound];
            }
            foreach (array_keys($this->ready($done)) as $setting) {
                $next = $this->after($done, $setting);
                $steps = [...$settings, $setting];
                $queue->insert([$next, $steps], -10_000 * (count($steps) + count($this->left($next))) + substr_count($next, '1'));
            }
        }

        return [$greedy, $bound];
    }

    private function beam(Order $greedy): Order
    {
        $states = [[$this->opened($this->nothing), []]];
        while ($states !== []) {
            $next = [];
            foreach ($states as [$done, $settings]) {
                [$done, $settings] = $this->forced($done, $settings);
                $left = $this->left($done);
                if ($left === []) {
                    return count($settings) < count($greedy->settings) ? new Order($settings, $done, $this->distinct(), false) : $greedy;
                }
                if ($this->looks > 2 * self::LOOKS) {
                    $rest = $this->greedyFrom(...$states[0]);

                    return count($rest->settings) < count($greedy->settings) ? $rest : $greedy;
                }
                foreach (array_keys($this->ready($done)) as $setting) {
                    $after = $this->after($done, $setting);
                    if (! isset($next[$after])) {
                        $next[$after] = [[$after, [...$settings, $setting]], count($settings) + 1 + count($this->left($after)), substr_count($after, '1')];
                    }
                }
            }
            usort($next, fn (array $a, array $b) => [$a[1], $b[2]] <=> [$b[1], $a[2]]);
            $next = array_filter($next, fn (array $one) => $one[1] < count($greedy->settings));
            $states = array_map(fn (array $one) => $one[0], array_slice($next, 0, max(2, intdiv(self::BEAM, count($this->cuts)))));
        }

        return $greedy;
    }

    /**
     * Makes the settings whose cuts can all be made now: none of them is ever needed again.
     *
     * @param  list<string>  $settings
     * @return array{string, list<string>}
     */
    private function forced(string $done, array $settings): array
    {
        while (($next = $this->handiest($done, end($settings) ?: null)) !== null && $next[1] === 0) {
            $settings[] = $next[0];
            $done = $this->after($done, $next[0]);
        }

        return [$done, $settings];
    }

    /**
     * The setting that leaves the fewest of its cuts behind; of those the one with the tool at hand, then the coarser, then the larger.
     *
     * @return array{string, int}|null  with the number of cuts that it leaves behind
     */
    private function handiest(string $done, ?string $now): ?array
    {
        $left = $this->left($done);
        $ready = $this->ready($done);
        // Where all that is left of a setting can be cut now, nothing need be tried out.
        $clear = array_filter($ready, fn (array $one, string $setting) => $one[1] === $left[$setting], ARRAY_FILTER_USE_BOTH);
        $best = null;
        $least = [];
        foreach ($clear === [] ? $ready : $clear as $setting => [$class, $many]) {
            $behind = $clear === [] ? $this->behind($this->after($done, $setting), $setting) : 0;
            [$way, $size] = explode('|', $setting);
            $cost = [$behind, $now !== null && explode('|', $now)[0] !== $way, $class, -(int) $size];
            if ($best === null || $cost < $least) {
                [$best, $least] = [[$setting, $behind], $cost];
            }
        }

        return $best;
    }

    /**
     * The cuts of an order, as they are made: each time those that are made without putting anything else in between.
     *
     * @return list<array{?string, non-empty-list<int>}>  what is set, null where the line is marked, and the cuts
     */
    public function made(Order $order): array
    {
        $bursts = [];
        $done = $this->nothing;
        foreach ([null, ...$order->settings] as $setting) {
            do {
                $before = $done;
                foreach ([[null, $this->free], [$setting, $setting === null ? [] : $this->bySetting[$setting]]] as [$set, $cuts]) {
                    $after = $this->cut($done, $cuts);
                    $new = array_values(array_filter(array_merge(...$cuts), fn (int $c) => $done[$c] === '0' && $after[$c] === '1'));
                    if ($new !== []) {
                        $bursts[] = [$set, $new];
                    }
                    $done = $after;
                }
            } while ($done !== $before);
        }

        return $bursts;
    }

    /** How many cuts of a setting are still to make. */
    private function behind(string $done, string $setting): int
    {
        $behind = 0;
        foreach ($this->bySetting[$setting] as $cuts) {
            foreach ($cuts as $c) {
                $behind += $done[$c] === '0' ? 1 : 0;
            }
        }

        return $behind;
    }

    /** @return array<string, int> settings of which cuts are still to make, and how many */
    private function left(string $done): array
    {
        $left = [];
        for ($c = strpos($done, '0'); $c !== false; $c = strpos($done, '0', $c + 1)) {
            $setting = $this->settings[$c];
            $left[$setting] = ($left[$setting] ?? 0) + 1;
            $this->looks++;
        }

        return $left;
    }

    /** @return array<string, array{int, int}> settings of which cuts can be made now, with the coarsest class of such and their number */
    private function ready(string $done): array
    {
        $ready = [];
        $end = $this->ends[$this->lastOpen($done)] ?? 0;
        for ($c = strpos($done, '0'); $c !== false && $c < $end; $c = strpos($done, '0', $c + 1)) {
            $this->looks++;
            foreach ($this->cuts[$c]->needs as $need) {
                if ($done[$need] !== '1') {
                    continue 2;
                }
            }
            $setting = $this->settings[$c];
            $ready[$setting] = [min($ready[$setting][0] ?? PHP_INT_MAX, $this->cuts[$c]->class->value), ($ready[$setting][1] ?? 0) + 1];
        }

        return $ready;
    }

    /** What is done once a setting stood: its cuts, and those that it makes possible. */
    private function after(string $done, string $setting): string
    {
        do {
            $before = $done;
            $done = $this->cut($done, $this->bySetting[$setting]);
            $done = $done === $before ? $done : $this->opened($done);
        } while ($done !== $before);

        return $done;
    }

    /** What needs no setting is done as soon as it can be. */
    private function opened(string $done): string
    {
        do {
            $before = $done;
            $done = $this->cut($done, $this->free);
        } while ($done !== $before);

        return $done;
    }

    /** @param array<int, list<int>> $bySheet cuts */
    private function cut(string $done, array $bySheet): string
    {
        $last = $this->lastOpen($done);
        foreach ($bySheet as $sheet => $cuts) {
            if ($sheet > $last) {
                break;
            }
            foreach ($cuts as $c) {
                $this->looks++;
                if ($done[$c] !== '0') {
                    continue;
                }
                foreach ($this->cuts[$c]->needs as $need) {
                    if ($done[$need] !== '1') {
                        continue 2;
                    }
                }
                $done[$c] = '1';
            }
        }

        return $done;
    }

    /** The last sheet that may be broken down: those before it that are not done are fewer than the window. */
    private function lastOpen(string $done): int
    {
        $last = array_key_last($this->ends) ?? 0;
        if ($this->window >= $last) {
            return $last;
        }
        $from = 0;
        for ($open = 0; $open < $this->window; $open++) {
            $c = strpos($done, '0', $from);
            if ($c === false) {
                return $last;
            }
            $sheet = $this->cuts[$c]->sheet;
            $from = $this->ends[$sheet];
            if ($open + 1 === $this->window || $from >= count($this->cuts)) {
                return $sheet;
            }
        }

        return $last;
    }
}
