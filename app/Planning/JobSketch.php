<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use Incastro\Drawing\PlanDrawing;
use Incastro\Drawing\ReadingText;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Exchange\PlanWriter;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;

/** A job as the list shows it: name, verdict, and a small elevation. */
final readonly class JobSketch
{
    /** Raised when the sketch of the same job looks different. */
    public const VERSION = '4';

    /**
     * @param  array<string, string>  $verdict
     * @param  array<string, string>  $tape
     * @param  ?array<string, mixed>  $drawing
     */
    private function __construct(
        private string $id,
        private string $name,
        private array $verdict,
        private array $tape,
        private ?array $drawing,
        private bool $isAwaited = false,
    ) {
    }

    /** By what a sketch is remembered. */
    public static function hash(Job $job): string
    {
        return hash('sha256', $job->id.json_encode(JobDocument::of($job)).self::VERSION.Planner::VERSION);
    }

    /** Whether another says the same of the sheets, which are planned anew without anything having changed. */
    public function hasSheetsOf(self $other): bool
    {
        return $this->tape['sheets'] === $other->tape['sheets'];
    }

    /** Of a job that is still to be drawn. */
    public static function awaited(string $id, string $name): self
    {
        return new self($id, $name, ['state' => 'waiting', 'sentence' => 'Being worked out …'], ['pieces' => '', 'sheets' => ''], null, true);
    }

    public static function of(string $id, Plan $plan): self
    {
        $writer = new PlanWriter($plan);
        $space = $plan->spaces[0] ?? null;
        $drawing = match (true) {
            $space === null => null,
            $space->layout !== null && $space->layout->runs !== [] && $space->survey->room !== null => (new RunDrawing($space->layout->runs[0], $space->assemblies[0], $space->survey->room, $plan->job->format, $space->beside(0)))->small(),
            $space->survey->draft === null => null,
            default => (new PlanDrawing($space->survey, $space->survey->room ?? $space->survey->draft, new ReadingText($space->survey, $plan->job->format)))->draw(),
        };

        return new self($id, $plan->job->name, $writer->verdict(), $writer->tape(), $drawing === null ? null : ScreenWriter::write($drawing));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'verdict' => $this->verdict, 'tape' => $this->tape, 'drawing' => $this->drawing, 'is_awaited' => $this->isAwaited];
    }
}
