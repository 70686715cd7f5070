"""The WSGI application for gunicorn."""

import os
from importlib import import_module

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")

from django.core.wsgi import get_wsgi_application

application = get_wsgi_application()

# The first visitor does not wait for units and methods to be read: every worker begins with them.
import_module("chromata_core.methods.registry").methods()
