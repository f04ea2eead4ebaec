# frozen_string_literal: true

require_relative "debian_packages"
require_relative "embedded_database"
require_relative "front_end"
require_relative "gems"

module Setup
  # bin/screens: the same set-up as bin/test, then a browser that walks through the demo.
  class Screens
    def initialize(names) = @names = names

    # Returns the exit status.
    def run
      DebianPackages.new(DebianPackages::RUN + DebianPackages::TEST).install
      Gems.new.install
      FrontEnd.new.tap(&:install).build
      EmbeddedDatabase.temporary do |environment|
        child = ["bundle", "exec", "ruby", "setup/screens_child.rb", *@names]
        system(Gems::ENVIRONMENT.merge(environment), *child, chdir: Shell::ROOT) ? 0 : 1
      end
    rescue Failure => failure
      warn failure.message
      1
    end
  end
end
