<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use App\Models\JobFact;
use App\Planning\JobDocument;
use Illuminate\Validation\ValidationException;
use Incastro\Install\FittingFacts;
use Incastro\Install\TaskKind;
use Incastro\Install\WallStuds;
use Incastro\Measure\Length;
use Incastro\Planning\Field;
use Incastro\Planning\JobReader;
use Incastro\Saw\Ticks;

/** What is kept of something that was noted on fitting day: readings of checks, touches, the air of the room, studs. */
final readonly class FittingBodies
{
    /** A level shows no larger gap, mm. */
    private const LARGEST_GAP = 60.0;

    /** Widths of studs, and how far an edge is felt wrong, mm. */
    private const WIDTHS = [38.0, 45.0, 50.0];

    private const FELT = 6.0;

    public function __construct(private Job $job, private TypedLengths $lengths)
    {
    }

    /**
     * @param  array<string, mixed>  $fact  whose body is as it was sent
     * @return array<string, mixed>|null
     *
     * @throws ValidationException
     */
    public function read(int $i, array $fact): ?array
    {
        $body = $fact['body'] ?? [];
        if (in_array($fact['kind'], [FittingFacts::DONE, FittingFacts::CHECK, FittingFacts::TOUCH, FittingFacts::LEVEL], true) && TaskKind::tryFrom(explode(':', (string) ($fact['part'] ?? ''))[0]) === null) {
            self::refuse("facts.$i.part", 'This task is not one of fitting day.');
        }

        return match ($fact['kind']) {
            // How long it was supposed to take when it was done: hours are held against that.
            FittingFacts::DONE => is_numeric($body['minutes'] ?? null) ? ['minutes' => max(0, min(1440, (int) $body['minutes']))] : null,
            FittingFacts::CHECK => $this->check($i, $body),
            FittingFacts::TOUCH => ['says' => in_array($body['says'] ?? '', ['tacky', 'dry'], true) ? $body['says'] : self::refuse("facts.$i.body.says", 'It is still tacky, or dry.')],
            FittingFacts::CLIMATE => ['celsius' => self::number("facts.$i.body.celsius", $body['celsius'] ?? null, 1, 45, 'Room air is 1–45 °C here.'), 'humidity' => self::number("facts.$i.body.humidity", $body['humidity'] ?? null, 1, 100, 'Humidity is 1–100 %.')],
            FittingFacts::LEVEL => $this->level($i, $body),
            FittingFacts::STUD => $this->stud($i, (string) ($fact['part'] ?? ''), $body),
            default => null,
        };
    }

    /**
     * One reading with its end, or the difference of two.
     *
     * @param  array<string, mixed>  $body
     * @return array{check: string, texts: list<string>, reading: float, left: bool}
     */
    private function check(int $i, array $body): array
    {
        $texts = array_slice(array_values(array_filter(is_array($body['texts'] ?? null) ? $body['texts'] : [], is_string(...))), 0, 2);
        $check = is_string($body['check'] ?? null) ? mb_substr($body['check'], 0, 40) : '';
        if ($texts === [] || $check === '') {
            self::refuse("facts.$i.body.texts", 'Type what you read.');
        }
        $read = array_map(fn (string $text): float => $this->lengths->read("facts.$i.body.texts", 'What you read', $text)->toDouble(), $texts);
        $reading = count($read) === 2 ? $read[0] - $read[1] : $read[0] * (($body['end'] ?? 1) === 0 ? -1 : 1);
        if (count($read) === 1 && abs($reading) > self::LARGEST_GAP) {
            self::refuse("facts.$i.body.texts", sprintf('A gap of %s is more than a level shows: sign, or unit?', $this->lengths->format->write(Length::ofDouble(abs($reading)))));
        }

        return ['check' => $check, 'texts' => $texts, 'reading' => $reading, 'left' => ($body['left'] ?? false) === true];
    }

    /**
     * How far the floor lies under the level line at an end of a bearer.
     *
     * @param  array<string, mixed>  $body
     * @return array{place: string, text: string, down: float}
     */
    private function level(int $i, array $body): array
    {
        $place = is_string($body['place'] ?? null) && preg_match('~^\d{1,2}/(back|front)$~', $body['place']) === 1 ? $body['place'] : self::refuse("facts.$i.body.place", 'Say at which bearer, at its back or its front: “2/front”.');
        $text = is_scalar($body['text'] ?? null) ? (string) $body['text'] : '';

        return ['place' => $place, 'text' => $text, 'down' => $this->lengths->positive("facts.$i.body.text", 'Down to the floor', $text)->toDouble()];
    }

    /**
     * A middle line, or both edges; what was probed in vain is a place too.
     *
     * @param  array<string, mixed>  $body
     * @return array{u: float, texts: list<string>, hit: bool}
     */
    private function stud(int $i, string $wall, array $body): array
    {
        [$space, $number] = explode('/', $wall.'/');
        $field = "facts.$i.body.u";
        $typed = [$body['u'] ?? '', ...(($body['other'] ?? '') === '' ? [] : [$body['other']])];
        $read = array_map(fn (mixed $text): float => $this->lengths->read($field, 'Along the wall', $text)->toDouble(), $typed);
        $u = array_sum($read) / count($read);
        [$length, $studs] = $this->wall($space, (int) $number) ?? self::refuse("facts.$i.part", 'This wall is not one of the job.');
        $write = fn (float $mm): string => $this->lengths->format->write(Length::ofDouble($mm));
        $isAnyway = ($body['anyway'] ?? false) === true;
        if ($u < 0.0 || $u > $length) {
            self::refuse($field, sprintf('Along the wall: %s is past the wall’s end (%s).', $write($u), $write($length)));
        }
        $width = count($read) === 2 ? abs($read[0] - $read[1]) : null;
        if ($width !== null && ! $isAnyway && array_filter(self::WIDTHS, fn (float $one) => abs($width - $one) <= self::FELT) === []) {
            self::refuse($field, sprintf('Along the wall: edges %s apart are no usual stud (%s). Two studs, or one edge of another? Send it again if it is so.', $write($width), implode(', ', array_map($write, self::WIDTHS))));
        }
        $same = $this->lengths->format->unit->isMetric() ? WallStuds::SAME[0] : WallStuds::SAME[1] * 25.4;
        foreach ($isAnyway || ($body['hit'] ?? true) !== true ? [] : $studs as $other) {
            if (abs($other - $u) < $same) {
                self::refuse($field, sprintf('Along the wall: same stud as at %s? Send it again if there are two.', $write($other)));
            }
        }

        return ['u' => $u, 'texts' => array_map(fn (mixed $text): string => is_scalar($text) ? (string) $text : '', $typed), 'hit' => ($body['hit'] ?? true) === true];
    }

    /** @return array{float, list<float>}|null length of a wall, and studs that are noted on it with the things of the room or on fitting day; mm */
    private function wall(string $space, int $wall): ?array
    {
        try {
            $planned = JobReader::read(JobDocument::of($this->job))->space($space);
        } catch (\OutOfBoundsException) {
            return null;
        }
        $room = $planned->survey($this->lengths->format)->room;
        if ($room === null || ! in_array($wall, $room->shape->walls(), true)) {
            return null;
        }
        $frame = $room->frame($wall);
        $facts = new FittingFacts(Ticks::standing(JobFact::ofJob($this->job->id, [FittingFacts::STUD, Ticks::WITHDRAWAL])));
        $found = array_filter($facts->studs()["$space/$wall"] ?? [], fn (array $one) => $one['hit']);

        return [$frame->length(), [...WallStuds::amongThings($room->with($planned->things), $frame), ...array_column($found, 'u')]];
    }

    /** @throws ValidationException */
    private static function number(string $field, mixed $value, float $least, float $most, string $sentence): float
    {
        return Field::numberWithin($value, $least, $most) ?? self::refuse($field, sprintf('“%s” was typed. %s', is_scalar($value) ? $value : 'Nothing', $sentence));
    }

    /** @throws ValidationException */
    private static function refuse(string $field, string $sentence): never
    {
        throw ValidationException::withMessages([$field => $sentence]);
    }
}
