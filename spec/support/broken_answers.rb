# frozen_string_literal: true

# The application, and which of its answers were a failure of its own (status 500), whoever asked.
class BrokenAnswers
  def initialize(app)
    @app = app
    @broken = Queue.new
  end

  def call(env)
    status, = answer = @app.call(env)
    @broken << "#{env["REQUEST_METHOD"]} #{env["PATH_INFO"]}" if status == 500
    answer
  end

  # Those since it was asked last.
  def take = Array.new(@broken.length) { @broken.pop }
end
