<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Home;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A home, its jobs and their spaces belong to one person; for everybody else they do not exist. */
final class HomePolicy
{
    public function own(User $user, Home $home): Response
    {
        return $home->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
