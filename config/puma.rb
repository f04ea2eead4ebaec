# frozen_string_literal: true

# The web server: two processes, since drawing is bound to a core; bodies are limited before they are read.
workers 2
threads 1, 4
environment "production"
http_content_length_limit 64 * 1024 * 1024
log_requests false
