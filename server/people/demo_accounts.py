"""The ready accounts of the demo: invented people. They exist only where the demo was loaded."""

PASSWORD = "demo-bench"

DEMO_ACCOUNTS = [
    {
        "username": "instructor",
        "name": "Ilse Varga",
        "role": "instructor",
        "says": "plans sessions, watches the floor",
        "password": PASSWORD,
    },
    {
        "username": "assistant",
        "name": "Teo Lindqvist",
        "role": "assistant",
        "says": "helps on the floor",
        "password": PASSWORD,
    },
    {
        "username": "student",
        "name": "Noor Amadi",
        "role": "student",
        "says": "works at a bench of the running session",
        "password": PASSWORD,
    },
]
