<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use RuntimeException;
use Symfony\Component\HttpFoundation\Response;

/**
 * A change was refused: carries the refusal out of the transaction, which then leaves no trace.
 */
final class RejectedChange extends RuntimeException
{
    public function __construct(public readonly Response $response)
    {
        parent::__construct('Refused.');
    }
}
