"""Settings. Everything that differs between machines comes from the environment (or var/pg.env, made by bin/pg)."""

import os
import sys
from datetime import timedelta
from pathlib import Path

from django.core.exceptions import ImproperlyConfigured

from config.refusals import COMPONENTS

ROOT = Path(__file__).resolve().parents[2]
VAR = Path(os.environ.get("CHROMATA_VAR", ROOT / "var"))
sys.path[:0] = [path for path in (str(ROOT / "server"), str(ROOT / "core")) if path not in sys.path]


def _from_file(path: Path) -> dict[str, str]:
    lines = path.read_text().splitlines() if path.exists() else []
    return dict(line.split("=", 1) for line in lines if "=" in line)


_PG = {**_from_file(VAR / "pg.env"), **os.environ}
_SECRET = VAR / "secret.key"


def _listed(name: str) -> list[str]:
    """A setting that holds several values with commas between them."""
    return [part.strip() for part in os.environ.get(name, "").split(",") if part.strip()]


DEBUG = False
DEMO = os.environ.get("CHROMATA_DEMO", "") == "1"
SERVING = os.environ.get("CHROMATA_SERVING", "") == "1"  # set by the server, so that long migrations are not cut off
SECRET_KEY = os.environ.get("CHROMATA_SECRET") or (_SECRET.read_text().strip() if _SECRET.exists() else "")
if not SECRET_KEY:
    raise ImproperlyConfigured(
        "There is no secret. Set CHROMATA_SECRET to 50 random characters or more, and keep it: "
        "sign-ins and the seals of the record depend on it. (bin/start makes one of its own in var/secret.key.)"
    )
SECRET_KEY_FALLBACKS = _listed("CHROMATA_OLD_SECRETS")
# The first one seals, all of them verify: a new one is put in front and the old ones stay (docs/operations.md).
SEAL_KEYS = _listed("CHROMATA_SEAL_KEYS") or [SECRET_KEY, *SECRET_KEY_FALLBACKS]
ALLOWED_HOSTS = _listed("CHROMATA_HOSTS") or ["127.0.0.1", "localhost"]
# Devices that benches may read: “balance=127.0.0.1:7700, thermometer=127.0.0.1:7704” (docs/devices.md).
DEVICES = _listed("CHROMATA_DEVICES")
CSRF_TRUSTED_ORIGINS = _listed("CHROMATA_ORIGINS")
HTTPS = os.environ.get("CHROMATA_HTTPS", "") == "1"
PROXY = os.environ.get("CHROMATA_PROXY", "")  # address of a proxy whose X-Forwarded headers are believed
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = HTTPS
SECURE_HSTS_SECONDS = 365 * 24 * 3600 if HTTPS else 0
SECURE_HSTS_INCLUDE_SUBDOMAINS = SECURE_HSTS_PRELOAD = HTTPS
SECURE_REDIRECT_EXEMPT = [r"^(health|ready|metrics)$"]  # asked from inside, past the proxy
SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https") if PROXY else None
METRICS_TOKEN = os.environ.get("CHROMATA_METRICS_TOKEN", "")
TIME_ZONE = os.environ.get("CHROMATA_TIME_ZONE", "UTC")
USE_TZ = True
LANGUAGE_CODE = "en"
ROOT_URLCONF = "config.urls"
WSGI_APPLICATION = "config.wsgi.application"
AUTH_USER_MODEL = "people.Person"
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
DATA_UPLOAD_MAX_MEMORY_SIZE = 2_500_000

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.contenttypes",
    "django.contrib.sessions",
    "django.contrib.staticfiles",
    "rest_framework",
    "drf_spectacular",
    "axes",
    "people",
    "experiments",
    "stock",
    "marking",
    "labs",
    "prelab",
    "notebook",
    "rehearsals",
    "preparation",
    "results",
    "reports",
    "archives",
    "practice",
    "devices",
    "demo",
]

MIDDLEWARE = [
    "config.watching.Watched",
    "config.in_turn.InTurn",
    "django.middleware.security.SecurityMiddleware",
    "config.middleware.ContentSecurityPolicy",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "axes.middleware.AxesMiddleware",
    "people.department.InItsTime",
]

TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [ROOT / "web" / "dist"],
        "APP_DIRS": True,
        "OPTIONS": {"context_processors": ["django.template.context_processors.request"]},
    }
]

_LIMITS = "-c statement_timeout=10s -c lock_timeout=5s -c idle_in_transaction_session_timeout=30s"
DATABASES = {
    "default": {
        "ENGINE": "config.postgres",
        "NAME": _PG.get("PGDATABASE", "chromata"),
        "USER": _PG.get("PGUSER", "chromata"),
        "PASSWORD": _PG.get("PGPASSWORD", ""),
        "HOST": _PG.get("PGHOST", "127.0.0.1"),
        "PORT": _PG.get("PGPORT", "5432"),
        "CONN_MAX_AGE": 1800,  # seconds; in 60 a fifth of the work of looks was seen to go into connecting anew
        "CONN_HEALTH_CHECKS": True,
        "OPTIONS": {"connect_timeout": 3, **({"options": _LIMITS} if SERVING else {})},
    }
}
DATABASE_PATIENCE = 12 if SERVING else None  # seconds for one statement, also where the database answers nothing at all

CACHES = {
    "default": {"BACKEND": "django.core.cache.backends.locmem.LocMemCache", "OPTIONS": {"MAX_ENTRIES": 5000}},
    # What all workers must count together.
    "shared": {"BACKEND": "django.core.cache.backends.db.DatabaseCache", "LOCATION": "chromata_cache"},
    # What the core says of a bench, which every process needs; emptied at each start (config/gunicorn.py).
    "told": {
        "BACKEND": "config.files.Files",
        "LOCATION": VAR / "told",
        "TIMEOUT": 600,
        "OPTIONS": {"MAX_ENTRIES": 2000},
    },
    # Printed reports, by what they say.
    "papers": {
        "BACKEND": "django.core.cache.backends.filebased.FileBasedCache",
        "LOCATION": VAR / "papers",
        "TIMEOUT": 24 * 3600,
        "OPTIONS": {"MAX_ENTRIES": 300},
    },
}

AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
_CHECKS = "django.contrib.auth.password_validation."
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": f"{_CHECKS}MinimumLengthValidator", "OPTIONS": {"min_length": 10}},
    {"NAME": f"{_CHECKS}CommonPasswordValidator"},
    {"NAME": f"{_CHECKS}UserAttributeSimilarityValidator", "OPTIONS": {"user_attributes": ("username", "name")}},
]
PIN_DIGITS = min(max(int(os.environ.get("CHROMATA_PIN_DIGITS", "4")), 4), 12)
PASSWORD_HASHERS = [
    "django.contrib.auth.hashers.Argon2PasswordHasher",
    "django.contrib.auth.hashers.PBKDF2PasswordHasher",
]
# A whole class signs in from one address at the same minute, and anybody can type somebody else's name: after ten wrong
# PINs only that name at that address waits, a minute at most. Guessing at codes is held back in people/throttles.py.
AXES_LOCKOUT_PARAMETERS = [["username", "ip_address"]]
AXES_FAILURE_LIMIT = 10
AXES_COOLOFF_TIME = timedelta(minutes=1)
AXES_RESET_COOL_OFF_ON_FAILURE_DURING_LOCKOUT = False
AXES_RESET_ON_SUCCESS = True
AXES_VERBOSE = False
AXES_LOCKOUT_CALLABLE = "config.errors.locked_out"
CSRF_FAILURE_VIEW = "config.errors.forged"

SESSION_COOKIE_AGE = 60 * 60 * 12
SESSION_COOKIE_SAMESITE = "Lax"
CSRF_COOKIE_SAMESITE = "Lax"
SECURE_CROSS_ORIGIN_OPENER_POLICY = "same-origin"
X_FRAME_OPTIONS = "DENY"

STATIC_URL = "/static/"
STATIC_ROOT = VAR / "static"
STATICFILES_DIRS = [ROOT / "web" / "dist"] if (ROOT / "web" / "dist").exists() else []
STORAGES = {
    "default": {"BACKEND": "django.core.files.storage.FileSystemStorage"},
    "staticfiles": {"BACKEND": "whitenoise.storage.CompressedStaticFilesStorage"},
}
WHITENOISE_IMMUTABLE_FILE_TEST = r"^/static/assets/.+-[\w-]{8}\.\w+$"

REST_FRAMEWORK = {
    "DEFAULT_AUTHENTICATION_CLASSES": [
        "people.by_token.ByToken",
        "rest_framework.authentication.SessionAuthentication",
    ],
    "DEFAULT_PERMISSION_CLASSES": ["rest_framework.permissions.IsAuthenticated"],
    "DEFAULT_RENDERER_CLASSES": ["config.renderers.Json"],
    "DEFAULT_PARSER_CLASSES": ["config.parsers.Json"],
    "DEFAULT_SCHEMA_CLASS": "config.schema.WithRefusals",
    "DEFAULT_THROTTLE_CLASSES": ["config.throttles.PerPerson"],
    "NUM_PROXIES": 0,  # the server itself has put the caller's address where it belongs
    "EXCEPTION_HANDLER": "config.errors.sentence",
}

SPECTACULAR_SETTINGS = {
    "TITLE": "Chromata",
    "DESCRIPTION": "Sessions, benches, readings and reports of a teaching laboratory.",
    "VERSION": "1",
    "SERVE_INCLUDE_SCHEMA": False,
    "COMPONENT_SPLIT_REQUEST": True,
    "APPEND_COMPONENTS": COMPONENTS,
    "ENUM_NAME_OVERRIDES": {
        "LevelEnum": ["keep", "look", "repeat", "stop"],
        "NeedLevelEnum": ["call", "look", "repeat", "stop"],
        "CauseKindEnum": ["own", "unexplained", "reading", "fault"],
        "CriterionKindEnum": "chromata_core.marking.rubric.KINDS",
    },
}

LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "filters": {"told": {"()": "config.logs.NotToldYet"}},
    "handlers": {"console": {"class": "logging.StreamHandler"}},
    "loggers": {
        "django": {"handlers": ["console"], "level": "WARNING"},
        "django.request": {"level": "ERROR", "filters": ["told"]},  # a refusal is an answer, not an event
        # One line of JSON for each request, where it is wanted.
        "chromata.requests": {"level": "INFO" if os.environ.get("CHROMATA_REQUEST_LOG", "") == "1" else "WARNING"},
        "chromata": {"handlers": ["console"], "level": "INFO"},
        "axes": {"handlers": ["console"], "level": "ERROR"},
    },
}
TEST_RUNNER = "config.runner.Runner"
