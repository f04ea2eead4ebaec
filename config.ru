# frozen_string_literal: true

require_relative "app/boot"

if ENV["RELOAD"]
  require_relative "setup/dev"
  stamp = Setup::SourceStamp.new(*Setup::Dev::RUBY)
  run Setup::Reloading.new(stamp, [App::LOADER, TileLoom::LOADER]) { App::Server.build.to_app }
else
  run App::Server.build.to_app
end
