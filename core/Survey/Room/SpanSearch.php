<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\ClearSpan;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Normal;

/**
 * The clear span between the places of both sides: the tightest pair, and what is surely free by every pair. A pair that is
 * looser but known worse may be the one that binds, so none is left out but those that cannot: σ of a difference is at most
 * the sum of both σ (Cauchy–Schwarz), so a pair is looked at only where width − 1.645 (σ_l + σ_r) is less than what is
 * surely free so far.
 */
final readonly class SpanSearch
{
    /**
     * @param  \Closure(Place): array<int, float>  $left  how a place on the left depends on the unknowns
     * @param  \Closure(Place): array<int, float>  $right
     */
    public function __construct(private Adjusted $adjusted, private \Closure $left, private \Closure $right)
    {
    }

    /**
     * @param  non-empty-list<Place>  $lefts
     * @param  non-empty-list<Place>  $rights
     */
    public function between(array $lefts, array $rights): ClearSpan
    {
        usort($lefts, fn (Place $a, Place $b) => $b->u <=> $a->u);
        usort($rights, fn (Place $a, Place $b) => $a->u <=> $b->u);
        [$l, $r] = [$lefts[0], $rights[0]];
        $weights = RoomNetwork::difference(($this->right)($r), ($this->left)($l));
        $width = $r->u - $l->u;
        $safe = $width - Normal::ONE_SIDED_95 * $this->adjusted->sigmaOf($weights);
        $leftSigmas = array_map(fn (Place $place) => $this->adjusted->sigmaOf(($this->left)($place)), $lefts);
        $rightSigmas = array_map(fn (Place $place) => $this->adjusted->sigmaOf(($this->right)($place)), $rights);
        foreach ($lefts as $i => $left) {
            foreach ($rights as $j => $right) {
                $wide = $right->u - $left->u;
                if ($wide - Normal::ONE_SIDED_95 * ($leftSigmas[$i] + $rightSigmas[$j]) < $safe) {
                    $depends = RoomNetwork::difference(($this->right)($right), ($this->left)($left));
                    $safe = min($safe, $wide - Normal::ONE_SIDED_95 * $this->adjusted->sigmaOf($depends));
                }
            }
        }

        return new ClearSpan($width, $width - $safe, $l->u, $r->u, $l->v, $l->z, $r->v, $r->z, $weights);
    }
}
