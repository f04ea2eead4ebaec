# frozen_string_literal: true

module Setup
  # A Rack application whose code is read afresh before a request where some of it has changed since the last one. For
  # development alone, and for a server of one thread: a request that is under way keeps the code that it began with.
  class Reloading
    # stamp: a SourceStamp; loaders: Zeitwerk loaders that may reload, those of what is used by others last. The block
    # builds the application.
    def initialize(stamp, loaders, &application)
      @stamp, @loaders, @application = stamp, loaders, application
    end

    def call(env)
      read_again if @stamp.changed?
      (@built ||= @application.call).call(env)
    rescue ScriptError, StandardError => error
      # What cannot be read is said where it is looked for; the next change is another try.
      @built = nil
      text = "#{error.class}: #{error.message}\n#{Array(error.backtrace).first(10).join("\n")}\n"
      [500, {"content-type" => "text/plain; charset=utf-8"}, [text]]
    end

    private

    def read_again
      @built = nil
      @loaders.each(&:reload)
      # What this thread keeps is of classes that are no more.
      Thread.current.thread_variables.each { |name| Thread.current.thread_variable_set(name, nil) }
    end
  end
end
