# frozen_string_literal: true

require "sinatra/base"
require "rack/protection"

module App
  module Routes
    # What all routes share: JSON in and out, errors as sentences, limits.
    class Base < Sinatra::Base
      LARGEST_BODY = BodyLimit::LARGEST

      disable :static, :show_exceptions, :raise_errors, :dump_errors
      disable :protection
      set :host_authorization, {}

      before do
        content_type :json
        cache_control :no_store
      end

      error TileLoom::Invalid do |error|
        halt_with(422, error.message, error.path)
      end

      error ActiveRecord::RecordNotFound do
        halt_with(404, "That is not here (any more).")
      end

      error BookChanges::Stale do
        halt_with(409, "The book was changed elsewhere meanwhile; it is shown as it stands now. Make the change again if it is still wanted.")
      end

      error do |error|
        warn "#{error.class}: #{error.message}\n  #{Array(error.backtrace).first(12).join("\n  ")}"
        halt_with(500, "Something went wrong on our side; nothing was changed. It is in the server’s log.")
      end

      not_found { halt_with(404, "There is nothing at this address.") }

      private

      def halt_with(status, message, path = nil)
        content_type :json
        halt status, JSON.generate({"message" => message, "path" => path}.compact)
      end

      def json(object) = JSON.generate(object)

      # The file of a form with what it is called and a title made of that.
      def uploaded_file
        upload = params["file"]
        raise TileLoom::Invalid.new("Choose a file to bring in.") unless upload.is_a?(Hash) && upload[:tempfile]
        name = File.basename(upload[:filename].to_s.dup.force_encoding(Encoding::UTF_8).scrub.tr("\\", "/"))
        title = name.sub(/\.(geo)?json\z/i, "").tr("_", " ").strip[0, 200]
        {tempfile: upload[:tempfile], name: name, title: title.empty? ? "Layer" : title}
      end

      # A drawing of a book at its revision, which a browser may keep.
      def drawing(svg)
        content_type "image/svg+xml"
        cache_control :private, max_age: 3600
        svg
      end

      # Only JSON that says so: a form on another site cannot send it without asking first.
      # The request's body is read once.
      def body_json = @body_json ||= read_json

      def read_json
        halt_with(415, "This address takes application/json.") unless request.media_type == "application/json"
        text = request.body.read(LARGEST_BODY).to_s
        parsed = text.empty? ? {} : JSON.parse(text, max_nesting: 100)
        parsed.is_a?(Hash) ? parsed : raise(TileLoom::Invalid.new("The request is not a JSON object."))
      rescue JSON::ParserError
        raise TileLoom::Invalid.new("The request is not JSON.")
      end

      def book = @book ||= Book.find(whole(params["book_id"]))

      def whole(text)
        text.to_s.match?(/\A\d{1,18}\z/) ? text.to_i : raise(ActiveRecord::RecordNotFound)
      end

      def number(name, range)
        value = Float(params[name].to_s, exception: false)
        return value if value&.finite? && range.cover?(value)
        raise TileLoom::Invalid.new("“#{name}” must be a number from #{range.begin} to #{range.end}.")
      end
    end
  end
end
