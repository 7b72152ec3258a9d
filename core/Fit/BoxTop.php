<?php

declare(strict_types=1);

namespace Incastro\Fit;

/**
 * The upper outline of a box, mm above its foot: flat; raked from its left side to its right; or sloped from its back up to
 * its full height at `breaks` from the back, and flat from there to the front.
 */
final readonly class BoxTop
{
    private function __construct(public float $left, public float $right, public float $back, public float $front, public float $breaks)
    {
    }

    public static function flat(float $height): self
    {
        return new self($height, $height, $height, $height, 0.0);
    }

    public static function raked(float $left, float $right): self
    {
        return new self($left, $right, max($left, $right), max($left, $right), 0.0);
    }

    public static function sloped(float $back, float $height, float $breaks): self
    {
        return new self($height, $height, $back, $height, $breaks);
    }

    public function isRaked(): bool
    {
        return abs($this->left - $this->right) > 1e-6;
    }

    public function isSloped(): bool
    {
        return $this->breaks > 1e-6;
    }

    public function highest(): float
    {
        return max($this->left, $this->right);
    }

    public function lowest(): float
    {
        return min($this->left, $this->right);
    }

    /** Height at a share of the width from the left, and so far from the back, mm. */
    public function at(float $share, float $fromBack): float
    {
        $height = $this->left + ($this->right - $this->left) * $share;

        return $this->isSloped() && $fromBack < $this->breaks ? min($height, $this->back + ($this->front - $this->back) * $fromBack / $this->breaks) : $height;
    }

    /** How far from the back the top comes down to a height, mm: 0 where it is never so low. */
    public function reaches(float $height): float
    {
        return $this->isSloped() && $height > $this->back ? min(1.0, ($height - $this->back) / max(1e-9, $this->front - $this->back)) * $this->breaks : 0.0;
    }

    /** Slope of a raked or sloped top from level, radians. */
    public function angle(float $width): float
    {
        return $this->isSloped() ? atan2($this->front - $this->back, $this->breaks) : atan2(abs($this->right - $this->left), $width);
    }
}
