<?php

declare(strict_types=1);

namespace Tempesal\Core\Amount;

/**
 * A number, a word or a sign of what was typed.
 */
final readonly class Token
{
    /**
     * @param  string  $text  in lower case
     * @param  string  $typed  as it stands
     * @param  bool  $isSpaced  whether a space comes before it
     */
    public function __construct(
        public TokenKind $kind,
        public string $text,
        public string $typed,
        public bool $isSpaced,
    ) {}

    public function isWord(string ...$words): bool
    {
        return $this->kind === TokenKind::Word && ($words === [] || in_array($this->text, $words, true));
    }

    public function isSign(string ...$signs): bool
    {
        return $this->kind === TokenKind::Sign && in_array($this->text, $signs, true);
    }

    public function isNumber(): bool
    {
        return $this->kind === TokenKind::Number;
    }
}
