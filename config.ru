# frozen_string_literal: true

require_relative "app/boot"

run App::Server.build.to_app
