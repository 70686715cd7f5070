"""How any address may refuse: the statuses, and the one shape of the answer, as the API's description has them."""

REFUSALS = {
    400: "The form is wrong.",
    403: "Not signed in, or not yours.",
    404: "There is nothing here.",
    405: "Not this verb.",
    409: "The facts have changed.",
    410: "The link that leads here has ended, or was used.",
    413: "Too much at once.",
    415: "Send JSON.",
    422: "The form is right, the content is not.",
    429: "Too often; Retry-After says when.",
    503: "The database does not answer, or the printer is busy; Retry-After says when.",
}
_SENTENCES = {
    "type": "object",
    "properties": {"problems": {"type": "array", "items": {"type": "string"}}},
    "required": ["problems"],
}
COMPONENTS = {
    "schemas": {"Refusal": _SENTENCES},
    "responses": {
        f"Refused{status}": {
            "description": why,
            "content": {"application/json": {"schema": {"$ref": "#/components/schemas/Refusal"}}},
        }
        for status, why in REFUSALS.items()
    },
}
