<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Survey\Network\NormalMatrix;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Undetermined;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

/** The factored normal matrix, whatever of it is zero: what it solves and inverts satisfies N itself, summed anew. */
final class NormalMatrixTest extends TestCase
{
    /**
     * @param  list<array<int, float>>  $rows
     * @return list<Observation>
     */
    private static function observations(array $rows, Dice $dice): array
    {
        return array_map(fn (int $k) => Observation::linear("o$k", 0.0, $dice->between(0.3, 3.0), $rows[$k]), array_keys($rows));
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows
     * @return list<list<float>> AᵀPA, element by element
     */
    private static function dense(array $observations, array $rows, int $size, float $prior): array
    {
        $n = [];
        for ($i = 0; $i < $size; $i++) {
            for ($j = 0; $j < $size; $j++) {
                $n[$i][$j] = $i === $j && $prior > 0.0 ? 1 / $prior ** 2 : 0.0;
                foreach ($rows as $k => $row) {
                    $n[$i][$j] += ($row[$i] ?? 0.0) * ($row[$j] ?? 0.0) / $observations[$k]->sigma ** 2;
                }
            }
        }

        return array_map(array_values(...), array_values($n));
    }

    /** @return list<array<int, float>> some unknowns that all rows may look at, and groups of which each row sees but one */
    private static function rows(Dice $dice, int $shared, int $groups, int $each): array
    {
        $rows = [];
        for ($g = 0; $g < $groups; $g++) {
            for ($k = 0; $k < 2 * $each + 2; $k++) {
                $row = [];
                for ($i = 0; $i < $shared; $i++) {
                    if ($dice->chance(0.5)) {
                        $row[$i] = $dice->between(-1.0, 1.0);
                    }
                }
                for ($i = 0; $i < $each; $i++) {
                    if ($dice->chance(0.6) || $i === $k % $each) {
                        $row[$shared + $g * $each + $i] = $dice->between(-1.0, 1.0);
                    }
                }
                $rows[] = $row;
            }
        }

        return $rows;
    }

    public function test_it_solves_and_inverts_what_it_was_made_of(): void
    {
        $dice = new Dice(31);
        foreach ([[0, 1, 1], [2, 1, 3], [6, 4, 5], [8, 5, 9], [1, 12, 2]] as [$shared, $groups, $each]) {
            foreach ([0.0, 250.0] as $prior) {
                $size = $shared + $groups * $each;
                $rows = self::rows($dice, $shared, $groups, $each);
                $observations = self::observations($rows, $dice);
                $matrix = NormalMatrix::of($observations, $rows, $size, $prior);
                $n = self::dense($observations, $rows, $size, $prior);
                $b = array_map(fn () => $dice->between(-10.0, 10.0), range(1, $size));
                $x = $matrix->solve($b);
                $inverse = $matrix->inverse();
                foreach ($n as $i => $row) {
                    // N·x is b, and N·N⁻¹ the unit matrix.
                    self::assertEqualsWithDelta($b[$i], array_sum(array_map(fn (float $a, float $value) => $a * $value, $row, $x)), 1e-6);
                    for ($j = 0; $j < $size; $j++) {
                        self::assertEqualsWithDelta($i === $j ? 1.0 : 0.0, array_sum(array_map(fn (float $a, array $line) => $a * $line[$j], $row, $inverse)), 1e-6);
                        self::assertSame($inverse[$i][$j], $inverse[$j][$i]);
                    }
                }
            }
        }
    }

    public function test_one_of_two_unknowns_by_hand(): void
    {
        // Rows (1, 0) and (1, 1), σ 1 and 2: N = ((1 + 1/4, 1/4), (1/4, 1/4)); its determinant is 1/4, its inverse ((1, −1), (−1, 5)).
        $rows = [[0 => 1.0], [0 => 1.0, 1 => 1.0]];
        $matrix = NormalMatrix::of([Observation::linear('a', 0.0, 1.0, $rows[0]), Observation::linear('b', 0.0, 2.0, $rows[1])], $rows, 2);
        self::assertEqualsWithDelta([[1.0, -1.0], [-1.0, 5.0]], $matrix->inverse(), 1e-12);
        self::assertEqualsWithDelta([1.0, 3.0], $matrix->solve([2.0, 1.0]), 1e-12);
    }

    public function test_what_floats_is_refused_and_a_prior_holds_it(): void
    {
        // Only the difference of two unknowns is read.
        $rows = [[0 => 1.0, 1 => -1.0]];
        $observations = [Observation::linear('difference', 0.0, 1.0, $rows[0])];
        $held = NormalMatrix::of($observations, $rows, 2, 10.0)->inverse();
        // With 1/100 added to both: N = ((1.01, −1), (−1, 1.01)), determinant 0.0201.
        self::assertEqualsWithDelta(1.01 / 0.0201, $held[0][0], 1e-6);
        $this->expectException(Undetermined::class);
        NormalMatrix::of($observations, $rows, 2);
    }
}
