<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\User;

/**
 * A way back into an account without a letter: twenty signs that are printed and kept. Only their hash is stored; with 100 bits they
 * need no slow one.
 */
final class RecoveryCode
{
    /** Without those that are taken for each other when they are read from paper. */
    private const SIGNS = '0123456789abcdefghjkmnpqrstvwxyz';

    private const LENGTH = 20;

    /** Makes a new one in place of the old, and gives it: it can be read at no other time. */
    public static function make(User $user): string
    {
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
        }
        $user->forceFill(['recovery_code' => self::hash($code)])->save();

        return implode('-', str_split($code, 4));
    }

    /** Whether what was typed is the person's code, however it was grouped and whichever of two like signs was read. */
    public static function opens(?User $user, string $typed): bool
    {
        $code = strtr((string) preg_replace('/[\s-]+/', '', mb_strtolower($typed)), ['o' => '0', 'i' => '1', 'l' => '1', 'u' => 'v']);

        return $user?->recovery_code !== null && hash_equals($user->recovery_code, self::hash($code));
    }

    private static function hash(string $code): string
    {
        return hash('sha256', $code);
    }
}
