<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Incastro\Log\DurationReader;
use Incastro\Log\FitKind;
use Incastro\Log\LogFacts;
use Incastro\Log\MoneyReader;
use Incastro\Log\ProblemKind;
use Incastro\Log\WorkKind;
use Incastro\Measure\Unreadable;

/** What is kept of what the log is told: hours, money, sizes as built, what went wrong, how a box went in, notes. */
final readonly class LogBodies
{
    private const LONGEST_WORDS = 2000;

    private const MOST_LEFT = 100_000;

    /** Nobody works longer at a stretch, seconds; what began so much later than now is a clock that is wrong. */
    private const LONGEST = 16 * 3600;

    private const AHEAD = 300;

    public function __construct(private Job $job, private TypedLengths $lengths)
    {
    }

    /**
     * @param  array<string, mixed>  $fact  whose body is as it was sent
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public function read(int $i, array $fact): array
    {
        $body = $fact['body'] ?? [];
        $at = "facts.$i.body";
        $text = fn (string $key, int $longest = 200): string => self::text("$at.$key", $body[$key] ?? '', $longest);

        return match ($fact['kind']) {
            LogFacts::HOURS => $this->hours($at, $body),
            LogFacts::MONEY => ['what' => $text('what') ?: self::refuse("$at.what", 'What: Say what was paid for.'), 'minor' => $this->money("$at.amount", $body['amount'] ?? ''), 'typed' => $text('amount', 40), 'shop' => $text('shop'), 'line' => $text('line'), 'listed' => self::whole($body['listed'] ?? null)],
            LogFacts::LEFT => $this->left($at, $body) + ['line' => $text('line'), 'what' => $text('what')],
            LogFacts::BUILT => ['what' => $text('what') ?: self::refuse("$at.what", 'What: Say what was measured.'), 'text' => $text('text', 80), 'nm' => $this->lengths->positive("$at.text", 'As built', $body['text'] ?? '')->nanometres()],
            LogFacts::PROBLEM => [
                'problem' => ProblemKind::tryFrom($text('problem'))->value ?? self::refuse("$at.problem", 'Kind: This kind is not known.'),
                'where' => $text('where'), 'amount' => $text('amount', 80), 'words' => $text('words', self::LONGEST_WORDS),
                'nm' => $text('amount', 80) === '' ? null : $this->lengths->positive("$at.amount", 'How much', $body['amount'])->nanometres(),
            ],
            LogFacts::FIT => [
                'how' => FitKind::tryFrom($text('how'))->value ?? self::refuse("$at.how", 'How: freely, tight, jammed or loose.'), 'by' => $text('by', 80), 'words' => $text('words', self::LONGEST_WORDS),
                'nm' => $text('by', 80) === '' ? 0 : $this->lengths->positive("$at.by", 'By how much', $body['by'])->nanometres(),
            ],
            LogFacts::NOTE => ['words' => $text('words', self::LONGEST_WORDS) ?: self::refuse("$at.words", 'Words: Write what happened.')],
            default => ['photo' => $text('photo', 40), 'caption' => $text('caption'), 'where' => $text('where')],
        };
    }

    /**
     * From a moment to another, from a moment on while it runs, or a duration as typed.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private function hours(string $at, array $body): array
    {
        $person = self::text("$at.person", $body['person'] ?? '', 80);
        $kind = WorkKind::tryFrom(is_string($body['work'] ?? null) ? $body['work'] : '')->value ?? self::refuse("$at.work", 'Kind: Say what was worked at.');
        if (($body['typed'] ?? '') !== '') {
            $typed = self::text("$at.typed", $body['typed'], 20);
            try {
                return ['person' => $person, 'work' => $kind, 'typed' => $typed, 'minutes' => DurationReader::read($typed), 'from' => $this->moment("$at.from", 'Day', $body['from'] ?? null) ?? now()->toIso8601ZuluString(), 'to' => null];
            } catch (Unreadable $unreadable) {
                self::refuse("$at.typed", 'How long: '.$unreadable->getMessage());
            }
        }
        $from = $this->moment("$at.from", 'Begun', $body['from'] ?? null) ?? self::refuse("$at.from", 'Begun: Say when.');
        $to = $this->moment("$at.to", 'Ended', $body['to'] ?? null);
        [$begun, $ended] = [Carbon::parse($from), $to === null ? null : Carbon::parse($to)];
        match (true) {
            $begun->getTimestamp() > now()->getTimestamp() + self::AHEAD => self::refuse("$at.from", 'Begun: That is in the future.'),
            $ended !== null && $ended->getTimestamp() > now()->getTimestamp() + self::AHEAD => self::refuse("$at.to", 'Ended: That is in the future.'),
            $ended !== null && $ended->lessThan($begun) => self::refuse("$at.to", sprintf('Ended: That is before it began. Did it run past midnight, from %s to %s?', $begun->format('j F'), $begun->copy()->addDay()->format('j F'))),
            $ended !== null && $ended->getTimestamp() - $begun->getTimestamp() > self::LONGEST => self::refuse("$at.to", sprintf('Ended: That is %d hours. Nobody works longer than 16 at a stretch.', intdiv($ended->getTimestamp() - $begun->getTimestamp(), 3600))),
            default => null,
        };

        return ['person' => $person, 'work' => $kind, 'typed' => '', 'minutes' => null, 'from' => $from, 'to' => $to] + (is_int($body['clock'] ?? null) ? ['clock' => $body['clock']] : []);
    }

    /**
     * What was left of a line of the list, or missing with a minus; what the list took, had on top and was bought, when it was counted.
     *
     * @param  array<string, mixed>  $body
     * @return array<string, mixed>
     */
    private function left(string $at, array $body): array
    {
        $typed = strtr(self::text("$at.left", $body['left'] ?? '', 20), ['−' => '-']);
        $left = filter_var($typed, FILTER_VALIDATE_INT, ['options' => ['min_range' => -self::MOST_LEFT, 'max_range' => self::MOST_LEFT]]);
        if ($left === false) {
            self::refuse("$at.left", sprintf('Left: “%s” is not a whole number up to %d; what was missing has a minus.', $typed, self::MOST_LEFT));
        }

        return ['left' => $left, 'use' => self::whole($body['use'] ?? null), 'spare' => self::whole($body['spare'] ?? null), 'had' => self::whole($body['had'] ?? null)];
    }

    /** A number that the list had, as it was sent along; null for anything else. */
    private static function whole(mixed $value): ?int
    {
        return is_int($value) && $value >= 0 && $value < PHP_INT_MAX / 2 ? $value : null;
    }

    private function moment(string $field, string $label, mixed $text): ?string
    {
        if ($text === null || $text === '') {
            return null;
        }
        try {
            return is_string($text) ? Carbon::parse($text)->utc()->toIso8601ZuluString() : throw new \InvalidArgumentException();
        } catch (\InvalidArgumentException) {
            self::refuse($field, "$label: This is not a day and an hour.");
        }
    }

    private function money(string $field, mixed $text): int
    {
        try {
            return MoneyReader::read(is_scalar($text) ? (string) $text : '', $this->job->choices['currency']);
        } catch (Unreadable $unreadable) {
            self::refuse($field, 'Amount: '.$unreadable->getMessage());
        }
    }

    private static function text(string $field, mixed $value, int $longest): string
    {
        $text = is_scalar($value) ? trim((string) $value) : '';

        return mb_strlen($text) > $longest ? self::refuse($field, sprintf('That is %d letters. It takes %d.', mb_strlen($text), $longest)) : (string) preg_replace('/[^\P{Cc}\n]/u', '', $text);
    }

    /** @throws ValidationException */
    private static function refuse(string $field, string $sentence): never
    {
        throw ValidationException::withMessages([$field => $sentence]);
    }
}
