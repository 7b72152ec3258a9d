<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** What a label carries: nine signs by chance and one that checks them, none of which is read for another. */
final class LabelCode
{
    /** 32 signs, without I, L, O and U. */
    private const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const LENGTH = 9;

    /** @param \Closure(int, int): int $chance  a number between two, both included */
    public static function make(\Closure $chance): string
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::SIGNS[$chance(0, 31)];
        }

        return $code.self::check($code);
    }

    /** Whether it can have been on a label: small letters are large ones, and what stands for a digit is read as one. */
    public static function read(string $typed): ?string
    {
        $code = strtr(strtoupper(trim($typed)), ['I' => '1', 'L' => '1', 'O' => '0', '-' => '', ' ' => '']);

        return strlen($code) === self::LENGTH + 1 && strspn($code, self::SIGNS) === strlen($code) && self::check(substr($code, 0, self::LENGTH)) === $code[self::LENGTH] ? $code : null;
    }

    /** Each sign counts by an odd weight, so that one that is misread changes the sum. */
    private static function check(string $code): string
    {
        $sum = 0;
        foreach (str_split($code) as $i => $sign) {
            $sum += (2 * $i + 1) * (int) strpos(self::SIGNS, $sign);
        }

        return self::SIGNS[$sum % 32];
    }
}
