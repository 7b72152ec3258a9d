<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Release;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class ReleasePolicy
{
    public function work(User $user, Release $release): Response
    {
        $job = $release->job()->with('home')->first();

        return $job === null ? Response::denyAsNotFound() : JobPolicy::mayWork($user, $job->home, $job->id);
    }
}
