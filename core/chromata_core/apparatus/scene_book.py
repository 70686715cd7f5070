"""Every scene by its key."""

from functools import cache

from chromata_core.apparatus import (
    burette_scenes,
    gas_scenes,
    glass_scenes,
    heat_scenes,
    light_scenes,
    weighing_scenes,
)
from chromata_core.apparatus.scene import Scene, SceneDrawn, scene_drawn

_FILES = (glass_scenes, burette_scenes, weighing_scenes, gas_scenes, heat_scenes, light_scenes)
SCENES: dict[str, Scene] = {
    scene.key: scene for file in _FILES for scene in vars(file).values() if isinstance(scene, Scene)
}


@cache
def drawing(key: str) -> SceneDrawn:
    """The scene called ``key``, laid out once."""
    return scene_drawn(SCENES[key])
