<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Saw\Tools;

/**
 * Plays written steps on rectangles and knows nothing of how they were found: every part is there when it is taken, every cut goes right
 * through within what its tool can, the kerf is lost, and each piece is freed once with its size.
 */
final class StepValidator
{
    private const NEAR = 0.0011;

    /** @var array<string, array{float, float}> parts that lie about, mm */
    private array $there = [];

    /** @var list<string> */
    private array $faults = [];

    /** @param array<string, mixed> $plan  as cut:plan writes it */
    public function __construct(private readonly array $plan, private readonly Tools $tools, private readonly int $window = PHP_INT_MAX)
    {
    }

    /**
     * @param  array<string, mixed>  $answer  as saw:steps writes it
     * @return list<string> what is wrong with it
     */
    public function faults(array $answer): array
    {
        $parts = array_column($answer['parts'], null, 'id');
        $freed = $ids = [];
        foreach ($answer['parts'] as $part) {
            if ($part['from'] === null) {
                $this->there[$part['id']] = [$part['length_mm'], $part['width_mm']];
            }
        }
        $opened = $left = [];
        foreach ($answer['steps'] as $s => $step) {
            foreach ($step['cuts'] as $cut) {
                $left[$parts[$cut['takes']]['sheet'] ?? 0] = ($left[$parts[$cut['takes']]['sheet'] ?? 0] ?? 0) + 1;
            }
        }
        foreach ($answer['steps'] as $s => $step) {
            foreach ($step['cuts'] as $cut) {
                $sheet = $parts[$cut['takes']]['sheet'];
                $opened += $step['class'] === 0 ? [] : [$sheet => true];
                // What the yard cuts comes in parts, all of it before the first cut.
                if ($step['class'] !== 0 && count(array_filter(array_keys($opened), fn (int $one) => $left[$one] > 0)) > $this->window) {
                    $this->faults[] = "step $s opens sheet $sheet beyond the window";
                }
                $left[$sheet]--;
                if (isset($ids[$cut['id']])) {
                    $this->faults[] = "cut {$cut['id']} comes twice";
                }
                $ids[$cut['id']] = true;
                if ($step['setting_mm'] !== null && abs($step['setting_mm'] - $cut['at_mm']) > self::NEAR) {
                    $this->faults[] = "step $s is set to {$step['setting_mm']} and cuts at {$cut['at_mm']}";
                }
                $this->play($s, $step, $cut, $parts);
                $part = $parts[$cut['frees']] ?? null;
                if ($part !== null && $part['fate'] === 'piece') {
                    $freed[] = $part;
                }
                $rest = $parts[$cut['leaves'] ?? ''] ?? null;
                if ($rest !== null && $rest['fate'] === 'piece') {
                    $freed[] = $rest;
                }
            }
        }
        $this->compare($freed, $answer['impossible'] !== []);

        return $this->faults;
    }

    /**
     * @param  array<string, mixed>  $step
     * @param  array<string, mixed>  $cut
     * @param  array<string, array<string, mixed>>  $parts
     */
    private function play(int $s, array $step, array $cut, array $parts): void
    {
        $size = $this->there[$cut['takes']] ?? null;
        if ($size === null) {
            $this->faults[] = "step $s takes {$cut['takes']}, which is not there";

            return;
        }
        unset($this->there[$cut['takes']]);
        $along = $cut['axis'] === 'length' ? 0 : 1;
        $rest = $size[$along] - $cut['at_mm'] - $cut['kerf_mm'];
        if ($cut['at_mm'] > $size[$along] + self::NEAR) {
            $this->faults[] = "step $s cuts beyond its part";
        }
        $this->within($s, $step, $cut, $size[1 - $along], $size[0] * $size[1]);
        $freed = $size;
        $freed[$along] = $cut['at_mm'];
        $this->lay($s, $cut['frees'], $freed, $parts);
        if ($rest > self::NEAR && $cut['leaves'] === null) {
            $this->faults[] = "step $s loses $rest mm";
        }
        if ($cut['leaves'] !== null) {
            $left = $size;
            $left[$along] = $rest;
            $this->lay($s, $cut['leaves'], $left, $parts);
        }
    }

    /**
     * @param  array{float, float}  $size
     * @param  array<string, array<string, mixed>>  $parts
     */
    private function lay(int $s, string $id, array $size, array $parts): void
    {
        $this->there[$id] = $size;
        if (min($size) < self::NEAR) {
            return;
        }
        $part = $parts[$id] ?? null;
        if ($part === null || abs($part['length_mm'] - $size[0]) > self::NEAR || abs($part['width_mm'] - $size[1]) > self::NEAR) {
            $this->faults[] = sprintf('step %d: %s is %s × %s and should be %s × %s', $s, $part['mark'] ?? $id, $size[0], $size[1], $part['length_mm'] ?? '?', $part['width_mm'] ?? '?');
        }
    }

    /**
     * @param  array<string, mixed>  $step
     * @param  array<string, mixed>  $cut
     */
    private function within(int $s, array $step, array $cut, float $line, float $area): void
    {
        $thickness = $this->plan['sheets'][0]['thickness_mm'];
        $kg = $area * $thickness * 680 * 1e-9;
        $at = $cut['at_mm'];
        $nm = fn (int $nanometres): float => $nanometres / 1e6;
        $ok = match ($step['way']) {
            'fence' => $this->tools->table !== null && $at <= $nm($this->tools->table->rip) && $kg <= $this->tools->push() + 0.01 && $line >= max($nm($this->tools->table->leastContact), $at) - self::NEAR
                && ($this->tools->table->hasOutfeed || $this->tools->people > 1 || $line <= 1500),
            'sled' => $this->tools->table?->sledWidest !== null && $line <= $nm($this->tools->table->sledWidest) && $at <= $nm($this->tools->table->sledStop) && $kg <= 10.01,
            'yard' => $this->tools->yard !== null && $at >= $nm($this->tools->yard->leastStrip),
            'stop' => $this->tools->mitre !== null && $line <= $nm($this->tools->mitre->widest) && $at <= $nm($this->tools->mitre->stop) && $at >= $nm($this->tools->mitre->leastHeld),
            default => ($step['tool'] !== 'guided_saw' || $this->tools->guided !== null && $line <= $nm($this->tools->guided->reach())),
        };
        if (! $ok) {
            $this->faults[] = sprintf('step %d: a cut of %.1f at %.1f of %.1f kg is not one for %s', $s, $line, $at, $kg, $step['way']);
        }
    }

    /** @param list<array<string, mixed>> $freed */
    private function compare(array $freed, bool $isSome): void
    {
        $key = fn (string $name, float $length, float $width) => sprintf('%s %.2f × %.2f', $name, $length, $width);
        $got = array_map(fn (array $part) => $key($part['piece'], $part['length_mm'], $part['width_mm']), $freed);
        $wanted = [];
        foreach ($this->plan['sheets'] as $sheet) {
            foreach ($sheet['pieces'] as $piece) {
                $wanted[] = $key($piece['name'], $piece['length_mm'], $piece['width_mm']);
            }
        }
        sort($got);
        sort($wanted);
        if ($isSome ? array_diff($got, $wanted) !== [] || count($got) >= count($wanted) : $got !== $wanted) {
            $this->faults[] = 'the pieces freed are not those of the plan: '.implode(', ', array_slice([...array_diff($got, $wanted), ...array_diff($wanted, $got)], 0, 5));
        }
    }
}
