"""Settings. Everything that differs between machines comes from the environment (or var/pg.env, made by bin/pg)."""

import os
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
VAR = Path(os.environ.get("CHROMATA_VAR", ROOT / "var"))
sys.path[:0] = [path for path in (str(ROOT / "server"), str(ROOT / "core")) if path not in sys.path]


def _from_file(path: Path) -> dict[str, str]:
    lines = path.read_text().splitlines() if path.exists() else []
    return dict(line.split("=", 1) for line in lines if "=" in line)


_PG = {**_from_file(VAR / "pg.env"), **os.environ}
_SECRET = VAR / "secret.key"

DEBUG = False
DEMO = os.environ.get("CHROMATA_DEMO", "") == "1"
SECRET_KEY = os.environ.get("CHROMATA_SECRET") or (
    _SECRET.read_text() if _SECRET.exists() else "only-for-tests-" + "x" * 40
)
ALLOWED_HOSTS = os.environ.get("CHROMATA_HOSTS", "127.0.0.1,localhost,testserver").split(",")
TIME_ZONE = "UTC"
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
    "labs",
    "notebook",
    "stock",
    "reports",
]

MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "config.middleware.ContentSecurityPolicy",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "axes.middleware.AxesMiddleware",
]

TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [ROOT / "web" / "dist"],
        "APP_DIRS": True,
        "OPTIONS": {"context_processors": ["django.template.context_processors.request"]},
    }
]

DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        "NAME": _PG.get("PGDATABASE", "chromata"),
        "USER": _PG.get("PGUSER", "chromata"),
        "PASSWORD": _PG.get("PGPASSWORD", ""),
        "HOST": _PG.get("PGHOST", "127.0.0.1"),
        "PORT": _PG.get("PGPORT", "5432"),
        "CONN_MAX_AGE": 60,
        "CONN_HEALTH_CHECKS": True,
    }
}

AUTHENTICATION_BACKENDS = ["axes.backends.AxesStandaloneBackend", "django.contrib.auth.backends.ModelBackend"]
PASSWORD_HASHERS = [
    "django.contrib.auth.hashers.Argon2PasswordHasher",
    "django.contrib.auth.hashers.PBKDF2PasswordHasher",
]
# A whole class signs in from one address at the same minute: lock the account that is guessed at, not the room.
AXES_LOCKOUT_PARAMETERS = ["username"]
AXES_FAILURE_LIMIT = 10
AXES_COOLOFF_TIME = 0.1
AXES_RESET_ON_SUCCESS = True
AXES_VERBOSE = False
AXES_LOCKOUT_CALLABLE = "config.errors.locked_out"
SILENCED_SYSTEM_CHECKS = ["axes.W006"]  # wants the address among the lockout parameters; see above

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
    "DEFAULT_AUTHENTICATION_CLASSES": ["rest_framework.authentication.SessionAuthentication"],
    "DEFAULT_PERMISSION_CLASSES": ["rest_framework.permissions.IsAuthenticated"],
    "DEFAULT_RENDERER_CLASSES": ["rest_framework.renderers.JSONRenderer"],
    "DEFAULT_PARSER_CLASSES": ["config.parsers.Json"],
    "DEFAULT_SCHEMA_CLASS": "drf_spectacular.openapi.AutoSchema",
    "EXCEPTION_HANDLER": "config.errors.sentence",
}

SPECTACULAR_SETTINGS = {
    "TITLE": "Chromata",
    "DESCRIPTION": "Sessions, benches, readings and reports of a teaching laboratory.",
    "VERSION": "1",
    "SERVE_INCLUDE_SCHEMA": False,
    "COMPONENT_SPLIT_REQUEST": True,
    "ENUM_NAME_OVERRIDES": {
        "LevelEnum": ["keep", "look", "repeat", "stop"],
        "NeedLevelEnum": ["call", "look", "repeat", "stop"],
    },
}

LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "handlers": {"console": {"class": "logging.StreamHandler"}},
    "loggers": {
        "django": {"handlers": ["console"], "level": "WARNING"},
        "django.request": {"level": "ERROR"},  # a refusal is an answer, not an event
        "axes": {"handlers": ["console"], "level": "ERROR"},
    },
}
TEST_RUNNER = "config.runner.Runner"
