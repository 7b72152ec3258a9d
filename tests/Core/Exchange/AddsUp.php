<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

/** Adds the steps of a working up again as a person with a pencil would, from what was written of it. */
trait AddsUp
{
    private int $added = 0;

    /** @param array<string, mixed> $working */
    private function addsUp(array $working, string $of = ''): void
    {
        $total = 0;
        foreach ($working['steps'] as $step) {
            $value = $step['value']['nm'];
            $total = match (true) {
                $step['sign'] === '', $step['sign'] === '→', $step['sign'] === '≤', $step['sign'] === '≥' => $value,
                $step['sign'] === '+' => $total + $value,
                $step['sign'] === '−' => $total - $value,
                str_starts_with($step['sign'], '÷') => (int) round($total / (int) mb_substr($step['sign'], 2)),
                preg_match('/^− (\d+) ×$/u', $step['sign'], $found) === 1 => $total - (int) $found[1] * $value,
                preg_match('/^\+ (\d+) ×$/u', $step['sign'], $found) === 1 => $total + (int) $found[1] * $value,
                preg_match('~^× (\d+)/(\d+)$~u', $step['sign'], $found) === 1 => (int) round($total * (int) $found[1] / (int) $found[2]),
                default => self::fail("A step stands with the sign “{$step['sign']}”."),
            };
        }
        self::assertSame($working['nm'], $total, $of);
        $this->added++;
    }

    /** @param array<mixed> $written adds up every working in it, however deep */
    private function allAddUp(array $written, string $of = ''): void
    {
        if (isset($written['steps'], $written['nm'])) {
            $this->addsUp($written, $of);
        }
        foreach ($written as $key => $part) {
            if (is_array($part)) {
                $this->allAddUp($part, "$of.$key");
            }
        }
    }
}
