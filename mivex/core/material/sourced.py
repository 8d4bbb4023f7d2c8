"""Where a value that varies over a surface comes from: a number, the own picture, an overlay, a file."""

from typing import Literal

from pydantic import Field

from mivex.core.base.settings import OmitDefaultsModel, setting

From = Literal["number", "own", "overlay", "file"]
FROM_WORDS: dict[str, str] = {"number": "A number", "own": "Own picture", "overlay": "An overlay", "file": "A picture"}
ChannelName = Literal["red", "green", "blue", "alpha"]
CHANNEL_NAMES: dict[str, str] = {"red": "Red", "green": "Green", "blue": "Blue", "alpha": "Alpha"}


class Sourced(OmitDefaultsModel):
    """Where something that varies over the surface comes from."""

    source: From = setting(
        "number", "From", "A number for the whole surface, or a channel that varies over it.", choices=FROM_WORDS
    )
    overlay: str = Field("", title="Overlay", description="The overlay whose result is read.")
    path: str = Field("", title="Picture", description="Relative to the project file, or absolute.")


class Channel(Sourced):
    """One value of the surface: a number, or a channel of any picture or overlay."""

    channel: ChannelName = setting("red", "Channel", "Which channel is read.", choices=CHANNEL_NAMES)
    invert: bool = setting(False, "Inverted", "One minus the channel: smoothness read as roughness, say.")
    value: float = setting(1.0, "Value", "The number; a channel is multiplied by it.", ge=0, le=1)
