<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\Purpose;

/** Judges a size as it was cut against the size that was planned, by what a piece of its sort allows. */
final readonly class AsCut
{
    /** Farther off it is hardly the same piece, nm. */
    private const ANOTHER = 30_000_000;

    /** A value this near to 25.4 times another was read in the other unit. */
    private const OTHER_UNIT = 0.03;

    /**
     * How much shorter and longer pieces may be, mm: length, width. Source: what boxes, shelves, fronts and backs bear at assembly; a scribed
     * blank has its reserve.
     */
    private const ALLOWED = [
        'side' => [[-1.0, 1.0], [-1.0, 1.0]],
        'board' => [[-0.5, 0.5], [-1.0, 1.0]],
        'shelf' => [[-1.5, 0.5], [-1.0, 1.0]],
        'nailer' => [[-0.5, 0.5], [-2.0, 2.0]],
        'back' => [[-2.0, 1.0], [-2.0, 1.0]],
        'front' => [[-0.5, 0.5], [-0.5, 0.5]],
        'rail' => [[-0.5, 0.5], [-1.0, 1.0]],
        'scribed' => [[-3.0, 10.0], [-3.0, 10.0]],
        'slat' => [[-2.0, 2.0], [-2.0, 2.0]],
    ];

    public function __construct(private LengthFormat $format)
    {
    }

    /** Which of the sorts a piece is, by what it is for and what it is called. */
    public static function sort(Piece $piece): string
    {
        $name = strtolower($piece->name);
        $is = fn (string ...$words): bool => array_filter($words, fn (string $word) => str_contains($name, $word)) !== [];

        return match (true) {
            $piece->isShaped() || $is('filler', 'scribe', 'plinth face', 'cheek') => 'scribed',
            $piece->purpose === Purpose::Back || $is('back') => 'back',
            $is('door', 'front', 'flap') => 'front',
            $is('nailer') => 'nailer',
            $is('shelf') => 'shelf',
            $is('slat', 'cleat', 'batten') => 'slat',
            $is('rail', 'bearer', 'stile') => 'rail',
            $is('side', 'gable', 'divider') => 'side',
            default => 'board',
        };
    }

    /** @return array{int, int} the least and the greatest size that is good, nm */
    public static function band(string $sort, string $dimension, int $planned): array
    {
        [$less, $more] = self::ALLOWED[$sort][$dimension === 'width' ? 1 : 0];

        return [$planned + (int) ($less * 1e6), $planned + (int) ($more * 1e6)];
    }

    /**
     * Between which sizes something that a size is good for stays within its limits while every other size is as planned: its value is
     * value + factor · (size − planned).
     *
     * @param  float  $value  as planned, mm
     * @param  float  $least  mm
     * @return array{int, int} nm
     */
    public static function limits(int $planned, float $value, float $factor, float $least, float $most): array
    {
        $low = $planned + (int) round(($least - $value) / $factor * 1e6);
        $high = $planned + (int) round(($most - $value) / $factor * 1e6);

        return [min($low, $high), max($low, $high)];
    }

    /**
     * @param  array{int, int}  $band
     * @param  list<array{least: int, most: int, sentence: string}>  $uses  what the size is good for, and between which sizes
     * @return array{state: string, sentence: string} state `good`, `long` or `short`
     */
    public function judge(string $mark, int $planned, int $measured, array $band, array $uses = []): array
    {
        $broken = array_filter($uses, fn (array $use) => $measured < $use['least'] || $measured > $use['most']);
        $judged = $this->judgedAlone($mark, $planned, $measured, $band);
        if ($broken === [] || abs($measured - $planned) > self::ANOTHER) {
            return $judged;
        }
        $sentences = array_values(array_unique(array_column($broken, 'sentence')));

        return ['state' => $judged['state'] === 'good' ? ($measured > $planned ? 'long' : 'short') : $judged['state'], 'sentence' => implode(' ', [$judged['sentence'], ...$sentences])];
    }

    /**
     * Two devices say otherwise of one size.
     *
     * @param  non-empty-array<string, int>  $sizes  nm
     * @return array{state: string, sentence: string}
     */
    public function undecided(string $mark, array $sizes): array
    {
        return ['state' => 'short', 'sentence' => sprintf('%s was measured as %s by different people. Measure it once more: until then neither counts.', $mark, implode(' and ', array_map(fn (int $nm) => $this->format->finest()->write(Length::ofNanometres($nm)), array_values(array_unique($sizes)))))];
    }

    /**
     * By what a piece of its sort allows.
     *
     * @param  array{int, int}  $band
     * @return array{state: string, sentence: string}
     */
    private function judgedAlone(string $mark, int $planned, int $measured, array $band): array
    {
        $text = fn (int $nm): string => $this->format->finest()->write(Length::ofNanometres(abs($nm)));
        $off = $measured - $planned;
        $state = $measured > $band[1] ? 'long' : ($measured < $band[0] ? 'short' : 'good');

        return ['state' => $state, 'sentence' => match (true) {
            $this->isOtherUnit($planned, $measured) => sprintf('%s? %s is planned as %s. Was it read in the other unit? Type it again with its unit.', $text($measured), $mark, $text($planned)),
            abs($off) > self::ANOTHER => sprintf('%s is %s %s than %s. Is it another piece, or spoiled?', $text($measured), $text($off), $off > 0 ? 'more' : 'less', $text($planned)),
            $state === 'long' => sprintf('%s too long: up to %s is good. Set the same again, and take it off.', $text($off), $text($band[1])),
            $state === 'short' => sprintf('%s too short: from %s on is good. Take it for a smaller piece, and cut a new one.', $text($off), $text($band[0])),
            $off === 0 => 'As planned.',
            default => sprintf('%s %s than planned: that is good.', $text($off), $off > 0 ? 'more' : 'less'),
        }];
    }

    private function isOtherUnit(int $planned, int $measured): bool
    {
        return $measured > 0 && $planned > 0 && (abs($measured / $planned / 25.4 - 1) < self::OTHER_UNIT || abs($measured / $planned * 25.4 - 1) < self::OTHER_UNIT);
    }
}
