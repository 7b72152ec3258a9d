<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedEdge;
use Incastro\Fit\FittedRun;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Survey;

/** One sentence that says whether the furniture of a space fits, and how sure that is. */
final readonly class Verdict
{
    private function __construct(public string $state, public string $sentence)
    {
    }

    /** @param list<Finding> $findings all that were made about the space */
    public static function of(Survey $survey, ?FittedRun $run, array $findings): self
    {
        $clashes = array_values(array_filter($findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        if ($survey->room === null) {
            return $survey->toGo() > 0
                ? new self('waiting', sprintf('Waits for %s.', self::count($survey->toGo(), 'reading')))
                : new self('warning', 'These readings do not make a space. Check heights and depths, and where the widths are taken between them.');
        }
        if ($survey->disagrees()) {
            return new self('warning', 'Some readings do not agree with the others.');
        }
        if ($clashes !== []) {
            return new self('clash', 'Does not fit: '.lcfirst($clashes[0]->sentence));
        }
        if (! $survey->isSure()) {
            return new self('warning', sprintf('Not sure yet: %s to go%s.', self::count($survey->toGo(), 'reading'), $survey->planIsChecked ? '' : ', a diagonal or a corner among them'));
        }
        if ($run === null) {
            return new self('waiting', 'Nothing is planned here yet.');
        }
        $scribed = count(array_filter($run->edges, fn (FittedEdge $edge) => $edge->scribe !== null));

        return new self('fits', $scribed === 0 ? 'Fits.' : sprintf('Fits. %s to scribe.', self::count($scribed, 'edge')));
    }

    public static function count(int $number, string $noun): string
    {
        return $number.' '.$noun.($number === 1 ? '' : 's');
    }
}
