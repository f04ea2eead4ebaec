# frozen_string_literal: true

require_relative "app/boot"

if ENV["RELOAD"]
  require_relative "setup/reloading"
  require_relative "setup/source_stamp"
  run Setup::Reloading.new(Setup::SourceStamp.of_application, [App::LOADER, TileLoom::LOADER]) { App::Server.build.to_app }
else
  run App::Server.build.to_app
end
