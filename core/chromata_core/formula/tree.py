"""The tree of a formula. Immutable; everything that is done with a formula walks these five shapes."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache


class _Hashed:
    """What is worked out of a tree is kept under it, so its hash is asked for at every computation: worked out once."""

    __slots__ = ("_hash",)
    _hash: int

    def __hash__(self) -> int:
        try:
            return self._hash
        except AttributeError:
            parts = (getattr(self, part) for part in self.__slots__)  # the fields of the shape itself
            object.__setattr__(self, "_hash", hash((type(self).__name__, *parts)))
            return self._hash


@dataclass(frozen=True, slots=True)
class Number(_Hashed):
    """A literal, kept as written so that its figures stay known. Exact."""

    text: str
    __hash__ = _Hashed.__hash__


@dataclass(frozen=True, slots=True)
class Name(_Hashed):
    """A reading, a constant or another quantity, by its key."""

    key: str
    __hash__ = _Hashed.__hash__


@dataclass(frozen=True, slots=True)
class Negative(_Hashed):
    """−operand."""

    operand: "Node"
    __hash__ = _Hashed.__hash__


@dataclass(frozen=True, slots=True)
class Binary(_Hashed):
    """left ∘ right with operator one of ``+ - * / **``."""

    operator: str
    left: "Node"
    right: "Node"
    __hash__ = _Hashed.__hash__


@dataclass(frozen=True, slots=True)
class Call(_Hashed):
    """A function of the small language applied to its arguments."""

    function: str
    arguments: tuple["Node", ...]
    __hash__ = _Hashed.__hash__


Node = Number | Name | Negative | Binary | Call


@lru_cache(maxsize=1024)
def names(node: Node) -> tuple[str, ...]:
    """Every key the formula needs, each once, in the order written."""
    return tuple(dict.fromkeys(_walk_names(node)))


def rewritten(node: Node, change: Callable[[Node], Node]) -> Node:
    """``node`` with every part put through ``change``, the innermost first."""
    match node:
        case Negative(operand):
            return change(Negative(rewritten(operand, change)))
        case Binary(operator, left, right):
            return change(Binary(operator, rewritten(left, change), rewritten(right, change)))
        case Call(function, arguments):
            return change(Call(function, tuple(rewritten(argument, change) for argument in arguments)))
        case _:
            return change(node)


def without(tree: Node, keys: set[str]) -> Node:
    """``tree`` with terms ``± key`` taken out for every key of ``keys``."""
    return rewritten(tree, lambda node: node.left if isinstance(node, Binary) and _adds_any(node, keys) else node)


def _adds_any(node: Binary, keys: set[str]) -> bool:
    return node.operator in "+-" and isinstance(node.right, Name) and node.right.key in keys


def _walk_names(node: Node) -> list[str]:
    match node:
        case Name(key):
            return [key]
        case Negative(operand):
            return _walk_names(operand)
        case Binary(_, left, right):
            return _walk_names(left) + _walk_names(right)
        case Call(_, arguments):
            return [name for argument in arguments for name in _walk_names(argument)]
        case _:
            return []
