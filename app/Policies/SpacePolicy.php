<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Space;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class SpacePolicy
{
    public function work(User $user, Space $space): Response
    {
        return $space->home === null ? Response::denyAsNotFound() : JobPolicy::mayWork($user, $space->home, $space->job_id);
    }
}
