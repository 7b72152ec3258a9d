<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Undetermined;
use Incastro\Survey\Tool;
use PHPUnit\Framework\TestCase;

final class AdjustmentTest extends TestCase
{
    public function test_two_readings_of_one_length_weigh_by_their_uncertainty(): void
    {
        // 100 ± 1 and 106 ± 2: weights 1 and 1/4, mean (100 + 106/4)/(5/4) = 101.2, σ = √(1/1.25) = 0.894.
        $adjusted = Adjustment::solve([
            Observation::linear('a', 100.0, 1.0, [0 => 1.0]),
            Observation::linear('b', 106.0, 2.0, [0 => 1.0]),
        ], [0.0]);
        self::assertEqualsWithDelta(101.2, $adjusted->unknowns[0], 1e-6);
        self::assertEqualsWithDelta(0.894427, $adjusted->sigmaOf([0 => 1.0]), 1e-6);
        // Residuals adjusted less read; redundancies 1 − 0.8/1 and 1 − 0.8/4 sum to the one degree of freedom.
        self::assertEqualsWithDelta(1.2, $adjusted->residuals[0], 1e-6);
        self::assertEqualsWithDelta(0.2, $adjusted->redundancy(0), 1e-6);
        self::assertEqualsWithDelta(0.8, $adjusted->redundancy(1), 1e-6);
        // Both tie: one comparison accuses both alike. 1.2/(1·√0.2) = 4.8/(2·√0.8) = 2.683.
        self::assertEqualsWithDelta(2.683, $adjusted->normalised(0), 1e-3);
        self::assertEqualsWithDelta($adjusted->normalised(0), $adjusted->normalised(1), 1e-6);
    }

    public function test_a_distance_is_solved_by_iteration(): void
    {
        // From (0, 0) 5 away and from (6, 0) 5 away, above: (3, 4).
        $distance = fn (float $x, float $y) => fn (array $u): float => hypot($u[0] - $x, $u[1] - $y);
        $adjusted = Adjustment::solve([
            new Observation('a', 5.0, 1.0, [0, 1], $distance(0.0, 0.0)),
            new Observation('b', 5.0, 1.0, [0, 1], $distance(6.0, 0.0)),
        ], [2.0, 3.0]);
        self::assertEqualsWithDelta(3.0, $adjusted->unknowns[0], 1e-6);
        self::assertEqualsWithDelta(4.0, $adjusted->unknowns[1], 1e-6);
        self::assertEqualsWithDelta(0.0, $adjusted->redundancy(0), 1e-6);
        self::assertSame(0.0, $adjusted->normalised(0));
    }

    public function test_what_no_reading_determines_is_said(): void
    {
        $this->expectException(Undetermined::class);
        Adjustment::solve([Observation::linear('difference', 3.0, 1.0, [0 => 1.0, 1 => -1.0])], [0.0, 0.0]);
    }

    public function test_tools_are_as_good_as_the_handbook_says(): void
    {
        // √(1² + (0.3 · 2.4)²) = 1.232; √(2² + 0.36²) = 2.032; √(0.5² + 0.3²) = 0.583 for a level of 1 m span, long
        self::assertEqualsWithDelta(1.232, Tool::Tape->sigma(2400.0), 1e-3);
        self::assertEqualsWithDelta(2.032, Tool::Inside->sigma(1200.0), 1e-3);
        self::assertEqualsWithDelta(0.583, Tool::levelOf(1000.0)->sigma(1000.0), 1e-3);
        self::assertEqualsWithDelta(0.583, Tool::levelOf(600.0)->sigma(600.0), 1e-3);
        self::assertSame(0.3, Tool::Rule->sigma(20.0));
    }
}
