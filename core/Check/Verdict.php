<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\FittedLayout;
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
    public static function of(Survey $survey, ?FittedLayout $layout, array $findings): self
    {
        $clashes = array_values(array_filter($findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        if ($survey->room === null) {
            return $survey->toGo() > 0
                ? new self('waiting', sprintf('Waits for %s.', self::count($survey->toGo(), 'reading')))
                : new self('warning', 'These readings do not make a space. Check heights and depths, and where the widths are taken between them.');
        }
        if ($clashes !== []) {
            return new self('clash', 'Does not fit: '.self::goingOn(self::first($clashes[0]->sentence)).($survey->disagrees() ? ' Some readings do not agree, too.' : ''));
        }
        if ($survey->disagrees()) {
            return new self('warning', 'Some readings do not agree with the others.');
        }
        if (! $survey->isSure()) {
            return new self('warning', sprintf('Not sure yet: %s to go%s.', self::count($survey->toGo(), 'reading'), $survey->planIsChecked ? '' : ', a diagonal or a corner among them'));
        }
        if ($layout === null || $layout->isEmpty()) {
            return new self('waiting', 'Measured. Nothing is planned here yet: choose a layout.');
        }
        $scribed = count(array_filter($layout->edges(), fn (FittedEdge $edge) => $edge->scribe !== null));

        return new self('fits', $scribed === 0 ? 'Fits.' : sprintf('Fits. %s to scribe.', self::count($scribed, 'edge')));
    }

    /** The first sentence of a text: what to do stands with the finding. */
    private static function first(string $text): string
    {
        return (preg_split('/(?<=\.) (?=\p{Lu})/u', $text) ?: [$text])[0];
    }

    /** A sentence after a colon; the mark of a piece keeps its letter. */
    private static function goingOn(string $sentence): string
    {
        return preg_match('/^\p{Lu}\p{Ll}/u', $sentence) === 1 ? lcfirst($sentence) : $sentence;
    }

    public static function count(int $number, string $noun): string
    {
        return $number.' '.$noun.($number === 1 ? '' : 's');
    }
}
