<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Space;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class SpacePolicy
{
    public function own(User $user, Space $space): Response
    {
        return (new JobPolicy())->own($user, $space->job);
    }
}
