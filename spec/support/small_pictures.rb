# frozen_string_literal: true

# The application, whose small pictures of sheets are blank. The strip shows a dozen of them at the foot of every step
# and asks anew after every change, which takes more than half of the processor time of an example in the browser; they
# are drawn as proofs are (spec/app/proof_cache_spec.rb), and in the browser where an example is about them
# (`small_pictures: true`).
class SmallPictures
  BLANK = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 420 297"><path d="M0 0H420V297H0z" fill="#fff"/></svg>'
  HEADERS = {"content-type" => "image/svg+xml", "cache-control" => "no-store"}.freeze

  # Are they drawn?
  attr_accessor :drawn

  def initialize(app) = @app = app

  def call(env) = blank?(env) ? [200, HEADERS.dup, [BLANK]] : @app.call(env)

  private

  def blank?(env)
    !drawn && env["PATH_INFO"].match?(%r{/sheets/-?\d+\.svg\z}) &&
      env["QUERY_STRING"].to_s.match?(/(\A|&)thumb=1(&|\z)/)
  end
end
