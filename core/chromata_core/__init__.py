"""The chemistry and the judgement of Chromata: pure Python, no screen, no database, no request.

Layers look one way only: quantity < formula < uncertainty < statistics < chemistry < instruments < method < methods.
Import from the module that holds a thing (``from chromata_core.quantity.typed import parse_reading``), never from
a package's own ``__init__``.
"""
