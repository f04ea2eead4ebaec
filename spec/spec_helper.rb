# frozen_string_literal: true

$LOAD_PATH.unshift(File.expand_path("../lib", __dir__))
require "bundler/setup"
require "date"
require "json"
require "open3"
require "tile_loom"
require "tmpdir"
Dir[File.join(__dir__, "support/**/*.rb")].sort.each { |file| require file }

RSpec.configure do |config|
  config.disable_monkey_patching!
  # The seed is printed; --seed takes it again.
  config.order = :random
  Kernel.srand(config.seed)
  config.expect_with(:rspec) { |expectations| expectations.syntax = :expect }
  config.include Outside
  config.include SmallBooks
  config.include PrintedElements
  config.include HandingOn
  config.around { |example| ExampleClock.watch(example.full_description) { example.run } }
end
