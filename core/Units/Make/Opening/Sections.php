<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Opening;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;

/**
 * An opening in equal sections between two side stiles and stiles between them: s = (A − 2·ms − (n − 1)·m)/n, down; what is left over
 * widens the right side stile, so that all fronts are equal.
 */
final readonly class Sections
{
    private const ROUNDS = 10;

    private function __construct(public int $count, public Length $side, public Length $middle, public Working $clear, public Working $last)
    {
    }

    /** @param Length $wide A, of the opening */
    private static function of(Length $wide, int $count, Length $side, Length $middle, LengthFormat $format): self
    {
        $all = Working::start('width of the opening', $wide);
        $clear = $all->minusTimes('side stiles', 2, $side);
        $clear = ($count > 1 ? $clear->minusTimes($count === 2 ? 'stile between' : 'stiles between', $count - 1, $middle) : $clear)->dividedBy($count === 1 ? 'one section' : "$count sections", $count)->roundedDown($format);
        $last = $all->minus('left side stile', $side)->minusTimes('sections', $count, $clear->result);

        return new self($count, $side, $middle, $clear, $count > 1 ? $last->minusTimes('stiles between', $count - 1, $middle) : $last);
    }

    /**
     * Its middle stiles as much wider as they must be to cover the posts that were found: m ≥ w + 2·|x − c|.
     *
     * @param  list<array{float, float}>  $posts  middle of each from the opening's left, and its width; mm
     */
    public static function covering(Length $wide, int $count, Length $side, Length $middle, array $posts, LengthFormat $format): self
    {
        $sections = self::of($wide, $count, $side, $middle, $format);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $need = $sections->needs($posts);
            if ($need <= $sections->middle->toDouble() + 1e-9) {
                return $sections;
            }
            $sections = self::of($wide, $count, $side, Length::ofDouble($need)->roundedUp($format->step), $format);
        }

        return $sections;
    }

    /**
     * How wide the middle stiles are that cover these posts, mm.
     *
     * @param  list<array{float, float}>  $posts
     */
    public function needs(array $posts): float
    {
        $need = 0.0;
        foreach ($posts as [$at, $wide]) {
            $off = array_map(fn (int $i): float => abs($this->middleOf($i) - $at), $this->count > 1 ? range(1, $this->count - 1) : []);
            // One that stands behind a side stile is covered by that.
            $isAtSide = $at - $wide / 2 < $this->side->toDouble() && $at + $wide / 2 <= $this->side->toDouble() || $at - $wide / 2 >= $this->right();
            $need = $isAtSide || $off === [] ? $need : max($need, $wide + 2 * min($off));
        }

        return $need;
    }

    /** Left side of a section from 0 on. */
    public function from(int $i): float
    {
        return $this->side->toDouble() + $i * ($this->clear->result->toDouble() + $this->middle->toDouble());
    }

    /** Left side of the middle stile before a section from 1 on. */
    public function stile(int $i): float
    {
        return $this->from($i) - $this->middle->toDouble();
    }

    private function middleOf(int $i): float
    {
        return $this->stile($i) + $this->middle->toDouble() / 2;
    }

    /** Left side of the right side stile. */
    public function right(): float
    {
        return $this->from($this->count - 1) + $this->clear->result->toDouble();
    }
}
