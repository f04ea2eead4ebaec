# frozen_string_literal: true

require "sinatra/base"
require "rack/protection"
require "rack/timeout/base"

module App
  module Routes
    # What all routes share: JSON in and out, errors as sentences, limits.
    class Base < Sinatra::Base
      LARGEST_BODY = BodyLimit::LARGEST

      # Refusals of what somebody else made another meanwhile: the browser looks anew.
      GONE =
        %w[
          another_value
          cell_changed
          drawn_anew
          id_taken
          part_gone
          undone_cell
          undone_cell_gone
          undone_cell_value
          undone_meanwhile
          undone_name
          undone_part_gone
        ].map { |name| "changes.#{name}" }.freeze

      disable :static, :show_exceptions, :raise_errors, :dump_errors
      # No logger is made for each request: what goes wrong is told on the error output.
      set :logging, nil
      disable :protection
      set :host_authorization, {}

      before do
        content_type :json
        cache_control :no_store
        halt_with(400, "answers.no_text") unless texts?(params)
      end

      error TileLoom::Refusal do |error|
        warn "#{error.message} #{error.detail}" if error.detail
        choices = error.choices if error.is_a?(TileLoom::Index::SheetRange::Ambiguous)
        halt_as_json(GONE.include?(error.code) ? 409 : 422, error.to_h.merge(choices: choices).compact)
      end

      error ActiveRecord::RecordNotFound, ActiveModel::RangeError do
        halt_with(404, "answers.gone")
      end

      error ActiveRecord::RecordNotUnique, ActiveRecord::Deadlocked do
        halt_with(409, "answers.changed_at_once")
      end

      # MariaDB’s way of saying that a text or a number does not go where it should.
      error ActiveRecord::ValueTooLong, ActiveRecord::RangeError do
        halt_with(422, "answers.too_long_to_save")
      end

      error Errno::ENOSPC, Errno::EDQUOT do
        halt_with(507, "answers.disk_full")
      end

      error ActiveRecord::ConnectionNotEstablished,
        ActiveRecord::ConnectionFailed,
        ActiveRecord::LockWaitTimeout,
        ActiveRecord::StatementTimeout,
        ActiveRecord::QueryCanceled do |error|
        explained(error)
        halt_with(503, "answers.database_away")
      end

      error Rack::Timeout::RequestTimeoutException do
        Deadline.forget_connection
        headers "retry-after" => "10"
        halt_with(503, "answers.took_too_long")
      end

      error BookChanges::Stale do
        halt_with(409, "answers.changed_elsewhere")
      end

      error do |error|
        halt_with(400, "answers.unreadable") if error.is_a?(Sinatra::BadRequest) || error.is_a?(Rack::BadRequest)
        explained(error)
        if error.message.match?(/table .* is full|disk full|no space left|errno: 28/i)
          halt_with(507, "answers.disk_full")
        end
        halt_with(500, "answers.fault")
      end

      not_found { halt_with(404, "answers.no_such_address") }

      # Has it a route for this method (as in HTTP) and path? As Sinatra itself looks for one.
      def self.answers?(method, path) = routes.fetch(method, []).any? { |pattern, *| pattern === path }

      private

      def explained(error) =
        warn("#{error.class}: #{error.message.to_s[0, 2_000]}\n  #{Array(error.backtrace).first(12).join("\n  ")}")

      # code: of the sentence in the catalogue; values: what it names.
      def halt_with(status, code, **values)
        halt_as_json(status, {code: code, message: TileLoom::Sentences.of(code, values)})
      end

      def halt_as_json(status, body)
        content_type :json
        halt status, JSON.generate(body)
      end

      def json(object) = JSON.generate(object)

      # The file of a form with what it is called and a title made of that.
      def uploaded_file(upload = params["file"])
        # Fields of a form can imitate an upload by their names; the parts of a real one are Rack's own temporary file.
        unless upload.is_a?(Hash) && upload[:tempfile].is_a?(Tempfile) && File.file?(upload[:tempfile].path)
          raise TileLoom::Refusal.new("requests.no_file")
        end
        name = File.basename(upload[:filename].to_s.dup.force_encoding(Encoding::UTF_8).scrub.tr("\\", "/"))
        title = name.sub(/\.(geo)?json\z/i, "").tr("_", " ").strip[0, 200]
        {tempfile: upload[:tempfile], name: name, title: title.empty? ? "Layer" : title}
      end

      # A drawing of a book at its revision, which a browser may keep.
      def drawing(svg, incomplete: svg.include?(TileLoom::Output::Svg::INCOMPLETE))
        content_type "image/svg+xml"
        # What more is to come of is asked for again.
        cache_control :private, max_age: 3600 unless incomplete
        svg
      end

      # The same, gzipped already; lasting: is it sure to be complete?
      def packed_drawing(bytes, lasting: true)
        plain = Zlib.gunzip(bytes) if !lasting || !request.env["HTTP_ACCEPT_ENCODING"].to_s.include?("gzip")
        return drawing(plain) if plain
        headers "content-encoding" => "gzip", "vary" => "Accept-Encoding"
        drawing(bytes, incomplete: false)
      end

      # Only JSON that says so: a form on another site cannot send it without asking first.
      # The request's body is read once.
      def body_json = @body_json ||= read_json

      def read_json
        halt_with(415, "answers.json_wanted") unless request.media_type == "application/json"
        text = request.body.read(RequestSchema::LARGEST_BYTES).to_s
        parsed = text.empty? ? {} : TileLoom::Assets::JsonText.parse(text, what: "The request")
        raise TileLoom::Refusal.new("requests.no_object") unless parsed.is_a?(Hash)
        RequestSchema.demand(env["sinatra.route"], parsed)
      end

      # Are all values texts as they should be? Files are looked at by whoever reads them.
      def texts?(value)
        case value
        when Hash
          value.all? { |key, item| texts?(key) && (key == "head" || key == :head || texts?(item)) }
        when Array
          value.all? { |item| texts?(item) }
        when String
          value
            .dup
            .force_encoding(Encoding::UTF_8)
            .then { |text| text.valid_encoding? && !text.match?(TileLoom::Assets::JsonText::CONTROL) }
        else
          true
        end
      end

      # Which browser asks, by a text that it made up; nil for one that does not say.
      def session_id = @session_id ||= request.env["HTTP_X_SESSION"].to_s[/\A[A-Za-z0-9-]{8,64}\z/]

      # Generates within a request as far as that is a matter of a second; beyond, a job goes on with it, and the answer
      # says which (202).
      def generated(purpose, wanted)
        StepBudget.hold { yield }
      rescue StepBudget::Exceeded
        run = IndexRun.begin(book, purpose, wanted, session: session_id)
        status 202
        json({"run" => Presenter.index_run(run)})
      end

      def changes = @changes ||= BookChanges.new(book, session: session_id)

      # The book after a change: what is another, where the browser says (X-Revision) that it has the book as it was
      # before; else all of it.
      def shown(book)
        done = changes.done
        notices = done&.replaced.present? ? {"replaced" => done.replaced} : {}
        if done && done.revision.to_s == request.env["HTTP_X_REVISION"] && book.revision == done.revision + 1
          return Presenter.change(book, done, session: session_id).merge(notices)
        end
        Presenter.book(book, session: session_id).merge(notices)
      end

      def book = @book ||= Book.kept.find(whole(params["book_id"]))

      # [composer of a sheet, the element of its layout] that the address names.
      def element_on_sheet
        composer = Snapshot.of(book).composer_of(page_number)
        element = composer.layout.elements.find { |known| known.id == params["element"] }
        element ? [composer, element] : raise(ActiveRecord::RecordNotFound)
      end

      # The number of a page, which of pages that are no sheets is zero or below.
      def page_number(name = "number")
        text = params[name].to_s
        text.match?(/\A-?\d{1,9}\z/) ? text.to_i : raise(ActiveRecord::RecordNotFound)
      end

      def whole(text)
        text.to_s.match?(/\A\d{1,18}\z/) ? text.to_i : raise(ActiveRecord::RecordNotFound)
      end

      def number(name, range)
        value = Float(params[name].to_s, exception: false)
        return value if value&.finite? && range.cover?(value)
        raise TileLoom::Refusal.new("requests.number_out_of_range", name: name, least: range.begin, most: range.end)
      end
    end
  end
end
