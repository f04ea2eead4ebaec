# frozen_string_literal: true

# The web server: two processes, since drawing is bound to a core; bodies are limited before they are read.
workers 2
threads 1, 3
environment "production"
http_content_length_limit 2 * 1024**3 + 1024**2
log_requests false
